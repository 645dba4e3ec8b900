import { useEffect, useRef } from 'react';
import { View } from 'react-native';
import { tinykeys } from 'tinykeys';
import { isTyping } from '@/ui/keys';
import { FIRST_DRAW } from './draw-state';
import { ItemPanel } from './ItemPanel';
import { LayPanel } from './LayPanel';
import { MeasurePanel } from './MeasurePanel';
import { Overview } from './Overview';
import { PutPanel } from './PutPanel';
import { UnderlayPanel } from './UnderlayPanel';
import { useDrawTool } from './use-draw';
import { useTakeAway } from './use-take-away';

/** Drawing the ground: the tool in hand, what is selected, or all that is there. */
export function DrawPanel() {
  const { state } = useDrawTool();
  const { tool, selected } = state;
  const panel = usePanelFocus(`${tool.name} ${selected?.id ?? ''}`, state !== FIRST_DRAW);
  useDrawKeys();
  return (
    <View
      ref={panel}
      role="region"
      aria-label="Drawing tools"
      tabIndex={-1}
      className="gap-3 pt-1 outline-none"
    >
      {tool.name === 'add' ? <PutPanel kind={tool.kind} /> : null}
      {tool.name === 'measure' ? <MeasurePanel /> : null}
      {tool.name === 'lay' ? <LayPanel /> : null}
      {tool.name === 'underlay' ? <UnderlayPanel hand={tool.hand} /> : null}
      {tool.name === 'select' && selected ? (
        <ItemPanel key={`${selected.list} ${selected.id}`} selected={selected} />
      ) : null}
      {tool.name === 'select' && !selected ? <Overview /> : null}
    </View>
  );
}

/** A panel that takes the focus when something else comes in hand: what had it is gone then. */
function usePanelFocus(inHand: string, begun: boolean) {
  const panel = useRef<View>(null);
  useEffect(() => {
    if (begun) panel.current?.focus();
  }, [inHand, begun]);
  return panel;
}

/** Take away and leave off, from anywhere on the page but a field being typed in. */
function useDrawKeys() {
  const { state, act } = useDrawTool();
  const takeAway = useTakeAway();
  const { selected, points } = state;
  useEffect(() => {
    const key = (run: () => void) => (event: KeyboardEvent) => {
      if (isTyping(event)) return;
      event.preventDefault();
      run();
    };
    const remove = key(() => {
      if (selected) takeAway(selected);
    });
    return tinykeys(window, {
      Delete: remove,
      Backspace: remove,
      Escape: key(() =>
        act(points.length > 0 ? { do: 'unpoint' } : { do: 'select', item: undefined }),
      ),
    });
  }, [act, takeAway, selected, points]);
}
