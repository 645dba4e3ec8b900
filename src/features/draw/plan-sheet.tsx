import { createRoot } from 'react-dom/client';
import { flushSync } from 'react-dom';
import { GroundPlan } from '@/figures/GroundPlan';
import { fitView, scaleOf } from '@/figures/plan-scale';
import { planSvg } from '@/formats/plan-image';
import { planExtent, planGround } from '@/answers/extent';
import { planLight, planSight } from '@/features/shoot/drawing';
import { marksInSun } from '@/answers/sun-on-ground';
import type { Plan } from '@/features/shoot/use-plan';
import { dayOf } from '@/records/day-said';
import { laid } from '@/records/underlay';
import tokens from '@/ui/tokens.json';

/** Size of the sheet that a plan is exported on. */
export const SHEET = { widthPx: 1400, heightPx: 1000 } as const;
const PADDING_PX = 60;

/** The whole plan at the minute looked at, on a sheet of its own by day, as an SVG file. */
export function planSheet(plan: Plan): string {
  const { shoot, setup, seen, along, atMs, clock } = plan;
  const { widthPx, heightPx } = SHEET;
  const ground = planGround(setup);
  const scale = scaleOf(
    fitView(planExtent(ground, setup), widthPx, heightPx, { paddingPx: PADDING_PX }),
    widthPx,
    heightPx,
  );
  const title = `${shoot.title}, ${dayOf(shoot.startLocal)}, ${clock(atMs)}`;
  const host = document.createElement('div');
  const root = createRoot(host);
  const { underlay } = shoot;
  const sun = seen.ok ? seen.answer.light.sun : undefined;
  flushSync(() =>
    root.render(
      <GroundPlan
        underlay={
          underlay?.shown
            ? {
                href: `data:image/jpeg;base64,${underlay.jpeg}`,
                laid: laid(underlay),
                opacity: underlay.opacity,
                on: 'day',
              }
            : undefined
        }
        ground={ground}
        marks={setup.marks}
        positions={setup.positions}
        choice={setup.choice}
        light={
          seen.ok
            ? planLight(
                { sky: plan.light.sky, features: setup.features, atMs: plan.atMs },
                seen.answer.light,
              )
            : undefined
        }
        inSun={sun && marksInSun(setup, setup.features, sun, plan.atMs)}
        sight={seen.ok && along ? planSight(seen.view, along) : undefined}
        scale={scale}
        widthPx={widthPx}
        heightPx={heightPx}
        label={title}
        sheetInks={tokens.day}
      />,
    ),
  );
  // The plan is drawn in layers; the sheet holds them one after the other.
  const drawn = [...host.querySelectorAll('svg')];
  if (drawn.length === 0) throw new Error('the plan was not drawn');
  const inner = drawn
    .flatMap((layer) => [...layer.childNodes])
    .map((node) => new XMLSerializer().serializeToString(node))
    .join('');
  root.unmount();
  return planSvg(inner, { title, ...SHEET, paper: tokens.day.paper });
}
