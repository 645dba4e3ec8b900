import { useRef, useState } from 'react';
import type { GeoPoint } from '@/core';
import { deviceFix, simulatedFix, type Fix } from '@/features/shoot/locator';
import { written } from '@/ui/units';

export interface Locator {
  /** Whether the stand-in walks instead of the person. */
  readonly simulated: boolean;
  readonly setSimulated: (on: boolean) => void;
  /** What came of the last question, in words. */
  readonly said: string | undefined;
  readonly locate: () => Promise<Fix | undefined>;
}

/** Where one stands: by the device, or by the stand-in when that is chosen. */
export function useLocator(site: GeoPoint): Locator {
  const [simulated, setSimulated] = useState(false);
  const [said, setSaid] = useState<string>();
  const strides = useRef(0);
  const locate = async (): Promise<Fix | undefined> => {
    setSaid('Finding where you stand…');
    try {
      const fix = simulated ? simulatedFix(site, strides.current) : await deviceFix();
      strides.current += 1;
      const from = fix.simulated ? 'Simulated fix' : 'Fix';
      setSaid(`${from}, good to ${written(fix.accuracyM, 'm', 0)}.`);
      return fix;
    } catch (error) {
      const why = error instanceof Error ? error.message : String(error);
      setSaid(`No location: ${why}. A simulated walk can stand in for it.`);
      return undefined;
    }
  };
  return { simulated, setSimulated, said, locate };
}
