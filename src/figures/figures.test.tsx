import { render, screen } from '@testing-library/react';
import { daylight } from '@/core';
import { draftWords } from './Draft';
import { overlap } from './labels';
import { LitBall } from './LitBall';
import { placedNames } from './Names';
import { scaleOf } from './plan-scale';
import type { PlanDraft } from './plan-types';
import { SmearRuler } from './SmearRuler';
import { StopBudget } from './StopBudget';

test('the lit ball says in words what it shows', () => {
  render(
    <LitBall
      sizePx={64}
      label="Ball lit as the camera sees it: front light"
      light={{
        daylight: daylight({ sunAltitudeDeg: 20, sky: 'clear' }),
        sun: { azimuthDeg: 180, altitudeDeg: 20 },
        sunlit: true,
        groundReflectance: 0.2,
        lampLux: 0,
        toCameraDeg: 180,
      }}
    />,
  );
  expect(screen.getByLabelText('Ball lit as the camera sees it: front light')).toBeTruthy();
});

test('the smear ruler gives each part its pixels and its grade', () => {
  const part = {
    part: 'foot',
    role: 'limb' as const,
    onSubjectMm: 11,
    onSensorMm: 0.05,
    sensorPx: 8,
    deliveredPx: 2.84,
    shareOfSubject: 0.006,
    circles: 1.7,
    grade: 'crisp' as const,
    trackMm: [],
  };
  render(<SmearRuler smear={[part]} widthPx={300} gradeWord={({ grade }) => grade} />);
  expect(screen.getByText('foot')).toBeTruthy();
  expect(screen.getByText('2.8 px')).toBeTruthy();
});

test('the stop budget signs what gives and what takes', () => {
  const bars = [
    { name: 'light on the face', stops: 8, note: 'EV 8.0', gives: true },
    { name: 'shutter', stops: 10.7, note: '1/1600', gives: false },
  ];
  render(<StopBudget bars={bars} widthPx={300} />);
  expect(screen.getByText('+8.0')).toBeTruthy();
  expect(screen.getByText('−10.7')).toBeTruthy();
});

test('no name is written over the figures of what is in hand, nor these over each other', () => {
  const scale = scaleOf({ middle: { x: 0, y: 0 }, pxPerM: 4, upDeg: 0 }, 400, 400);
  const at = { x: 0, y: 0 };
  const draft: PlanDraft = {
    points: [at],
    closed: false,
    words: [
      { at, text: '2.2 m' },
      { at: { x: 0.1, y: 0 }, text: '3.0 m' },
    ],
  };
  const words = draftWords(draft, scale);
  expect(words.map(({ text }) => text)).toEqual(['2.2 m', '3.0 m']);
  const [first, second] = words.map(({ box }) => box);
  expect(first && second && overlap(first, second)).toBe(false);
  const hide = { id: 'h', name: 'Hide', kind: 'hide' as const, points: [at] };
  const tree = (id: string, y: number) => ({
    ...{ id, name: id, kind: 'tree' as const },
    points: [{ x: 0, y }],
  });
  const names = placedNames({
    ground: { lines: [], features: [hide, tree('Oak', 4), tree('Ash', 12)] },
    ...{ marks: [], positions: [], choice: { markId: '', positionId: '' }, sight: undefined },
    ...{ canvas: { scale, widthPx: 400, heightPx: 400 }, draft },
  }).others;
  expect(names.map(({ text }) => text)).toEqual(['Ash']);
  expect(names.some(({ box }) => words.some((word) => overlap(box, word.box)))).toBe(false);
});

test('no name is written over the longest line of the sun, at the head of a plan', () => {
  const scale = scaleOf({ middle: { x: 0, y: 0 }, pxPerM: 1, upDeg: 0 }, 464, 300);
  const oakAt = (xPx: number) =>
    placedNames({
      ground: {
        lines: [],
        features: [{ id: 'oak', name: 'Oak', kind: 'tree', points: [{ x: xPx - 232, y: 138 }] }],
      },
      ...{ marks: [], positions: [], choice: { markId: '', positionId: '' }, sight: undefined },
      canvas: { scale, widthPx: 464, heightPx: 300 },
    }).others;
  // Measured in the browser: "Sun 302° NW, 10° below the horizon" from 12 to 209 px.
  const sun = { left: 12, right: 209, top: 6, bottom: 24 };
  for (const xPx of [60, 170, 190])
    expect(oakAt(xPx).filter(({ box }) => overlap(box, sun))).toEqual([]);
  expect(oakAt(300)).toHaveLength(1);
});
