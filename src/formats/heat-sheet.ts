import { readTable, type Table, type TableRead } from './table';
import { clockMinutes } from './written-time';

/**
 * Heat sheets as they come out of meet offices and mails: lines, not columns. "Event 12 Girls 100 m Dash", under it
 * "Heat 1 of 4", under that a line for each lane: its number, a name, a year, a school, a time.
 */

/** The columns that its table has, as `readOrder` names them. */
export const HEAT_SHEET_COLUMNS = ['Event', 'Start', 'Heat', 'Lane', 'Bib', 'Athlete', 'School'];

const EVENT = /^(?:#|event|race|no\.?)\s*(\d{1,3})\b[\s:.–-]*(.+)$/i;
const HEAT = /^(?:heat|flight|section|final|semi-?final)\b\s*#?(\d{0,2})(.*)$/i;
const CLOCK =
  /(?:\b(?:at|start(?:s|ing)?)\s*)?\b(\d{1,2}[:.]\d{2}(?:\s?[ap]\.?m\.?)?|\d{1,2}\s?[ap]\.?m\.?)(?=\s|$|[)\],])/i;
/** Names of columns, rules, page heads. */
const NOISE =
  /^(?:lane|lan|pos|name|athlete|swimmer|team|page|printed|licensed|results?|heat sheet|meet program)\b|^[-=_*\s]+$/i;

interface Taken {
  readonly rest: string;
  readonly time: string;
}

/** A starting time taken out of a line: "Girls 100 m Dash ... 10:45 AM". A result such as 12.84 is none. */
function withoutClock(text: string): Taken {
  const found = CLOCK.exec(text);
  const written = found?.[1] ?? '';
  if (!found || clockMinutes(written) === undefined) return { rest: text, time: '' };
  const hasColon = /[:]|[ap]\.?m/i.test(written);
  if (!hasColon) return { rest: text, time: '' };
  const rest = text.slice(0, found.index) + text.slice(found.index + found[0].length);
  return { rest: rest.replace(/[\s.,()[\]–-]+$/, '').trim(), time: written };
}

/** What follows a lane: a bib, a name, a year of school, a school, a time or a mark. */
function entrant(text: string): { bib: string; name: string; school: string } | undefined {
  const parts = text
    .split(/\t|\s{2,}/)
    .map((part) => part.trim())
    .filter(Boolean);
  const bib = /^#?\d{1,5}$/.test(parts[0] ?? '') ? (parts.shift() ?? '').replace('#', '') : '';
  let [name = '', ...more] = parts;
  // "12 1043 Lock, Ash 11 Fernley" with single blanks: the year of school parts name and school.
  const tight =
    /^(?:#?(\d{2,5})\s+)?([\p{L}][\p{L}\p{M}'’.\- ]*,\s*[\p{L}\p{M}'’.-]+(?:\s[\p{L}]\.?)?)\s+(?:(?:[7-9]|1[0-2]|FR|SO|JR|SR|\d{2})\s+)(.+)$/u.exec(
      text,
    );
  if (more.length === 0 && tight) {
    return {
      bib: bib || (tight[1] ?? ''),
      name: tight[2] ?? '',
      school: withoutResult(tight[3] ?? ''),
    };
  }
  name = name.replace(/\s+(?:[7-9]|1[0-2]|FR|SO|JR|SR)$/, '');
  if (!/\p{L}{2}/u.test(name)) return undefined;
  more = more.filter((part) => !/^(?:[7-9]|1[0-2]|FR|SO|JR|SR|\d{2})$/.test(part));
  return { bib, name, school: withoutResult(more[0] ?? '') };
}

/** "Fernley HS" of "Fernley HS 12.84", "Fernley HS NT". */
const withoutResult = (text: string): string => {
  const bare = text.replace(/\s+(?:NT|NM|ND|[xX]?\d+(?:[:.-]\d+)+\S*)$/, '').trim();
  return /\p{L}{2}/u.test(bare) && !/^(?:NT|NM|ND)$/.test(bare) ? bare : '';
};

/** The table that a heat sheet's lines make; nothing where they name no events. */
export function heatSheetTable(text: string): Table | undefined {
  const rows: { line: number; cells: readonly string[] }[] = [];
  let event = '';
  let start = '';
  let heat = '';
  let named = 0;
  let filled = true;
  const put = (line: number, lane = '', bib = '', name = '', school = '') => {
    rows.push({ line, cells: [event, start, heat, lane, bib, name, school] });
    // What is said once holds for the rows under it.
    start = '';
    filled = true;
  };
  let eventLine = 0;
  const close = () => {
    if (event && !filled) put(eventLine);
  };
  text
    .replace(/^\uFEFF/, '')
    .split(/\r?\n/)
    .forEach((raw, i) => {
      const line = raw.trimEnd();
      const bare = line.trim();
      if (!bare) return;
      const eventRead = EVENT.exec(bare);
      if (eventRead) {
        close();
        const { rest, time } = withoutClock(eventRead[2] ?? '');
        [event, start, heat, filled, eventLine] = [rest.trim(), time, '', false, i + 1];
        named += 1;
        return;
      }
      if (!event || NOISE.test(bare)) return;
      const heatRead = HEAT.exec(bare);
      if (heatRead) {
        if (heat) close();
        const { time } = withoutClock(heatRead[2] ?? '');
        heat = heatRead[1] || bare.replace(CLOCK, '').trim();
        if (time) start = time;
        [filled, eventLine] = [false, i + 1];
        return;
      }
      const laneRead = /^(?:lane\s*)?(\d{1,2})[\s.):]+(.+)$/i.exec(bare);
      const who = laneRead ? entrant(laneRead[2] ?? '') : undefined;
      if (laneRead && who) put(i + 1, laneRead[1], who.bib, who.name, who.school);
      else if (!laneRead && withoutClock(bare).time && /start|at|^\d/i.test(bare)) {
        start = withoutClock(bare).time;
      }
    });
  close();
  return named > 0 && rows.length > 0 ? { columns: HEAT_SHEET_COLUMNS, rows } : undefined;
}

/** A running order's table: of a heat sheet's lines, or of columns. */
export function readOrderTable(text: string): TableRead {
  const sheet = heatSheetTable(text);
  return sheet ? { ok: true, table: sheet } : readTable(text);
}
