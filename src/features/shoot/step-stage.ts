import type { ScreenId } from './steps';

/** The place in a shoot's page where its open step stands. Each step is put together in an element of its own. */
export interface StepStage {
  readonly hostOf: (screen: ScreenId) => HTMLElement;
  /** The place in the page, while there is one. */
  readonly setPlace: (place: HTMLElement | null) => void;
  /** Puts a step in the place of what stands there. */
  readonly show: (screen: ScreenId) => void;
  /** Puts a step there that is made ready and hidden, before anything is told of it. */
  readonly reveal: (screen: ScreenId) => void;
}

const FILLS = 'position:absolute;inset:0;display:flex;flex-direction:column';

export function stepStage(): StepStage {
  const hosts = new Map<ScreenId, HTMLElement>();
  let place: HTMLElement | null = null;
  const hostOf = (screen: ScreenId): HTMLElement => {
    const made = hosts.get(screen);
    if (made) return made;
    const host = document.createElement('div');
    host.style.cssText = FILLS;
    hosts.set(screen, host);
    return host;
  };
  const show = (screen: ScreenId) => {
    const host = hostOf(screen);
    if (place && host.parentElement !== place) place.replaceChildren(host);
  };
  return {
    hostOf,
    setPlace: (found) => {
      place = found;
    },
    show,
    reveal: (screen) => {
      [...hostOf(screen).children].forEach((part) => {
        (part as HTMLElement).style.removeProperty('display');
      });
      show(screen);
    },
  };
}
