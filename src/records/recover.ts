import { changedOnto } from './changes';
import type { Device } from './device';
import type { Jotting } from './journal';
import { parseRecordText } from './parse';
import { firstOf, kindOf, textsOf, type Any } from './storage';

/** A record with what a jotting says done to it; nothing when that makes no record. */
function withJotted({ key, from, to }: Jotting, text: string | undefined): Any | undefined {
  const kind = kindOf(key);
  const newest = text === undefined ? undefined : parseRecordText(text, kind);
  if (newest && !newest.ok) return undefined;
  const state = (newest?.record ?? firstOf(key)) as object | undefined;
  // A record that was taken away meanwhile stays away.
  if (from && !state) return undefined;
  const jotted =
    state && from ? changedOnto<object>({ ...state, ...from }, { ...state, ...to }, state) : to;
  return kind.schema.safeParse(jotted).data;
}

/** Does what dead pages left in the journal to the records, as far as they still are records then. */
export async function recover(device: Device, jottings: readonly Jotting[]): Promise<void> {
  for (const jotting of jottings) {
    const { key } = jotting;
    const record = withJotted(jotting, (await device.read([key])).get(key));
    if (record) await device.change(textsOf(key, record, JSON.stringify(record)));
  }
}
