import type { Sheet } from '../../sheet/schema';
import { schools as allSchools } from '../../sheet/schools';
import { fault, rest, take, type Scan } from './line';

/** What the head says of where coaches disagree, of the ball, and of gloves. */
export type SchoolHead = Pick<Sheet, 'schools' | 'ball' | 'gloves'>;
type Schools = NonNullable<Sheet['schools']>;

/** How all of them are written. */
export const schoolsExample = allSchools
  .map((school) => `${school.written} ${school.answers.map(({ written }) => written).join('|')}`)
  .join('; ');

/**
 * Reads a list of schools; a part that is none comes back as `unread`.
 * @example readSchools('kick same; ball-body cord').schools // { kick: 'same', bodyOnDoubleEnd: 'lower cord' }
 */
export function readSchools(text: string): { readonly schools: Schools; readonly unread: string | null } {
  let schools: Schools = {};
  for (const part of text.split(/[;,]/)) {
    const said = part.trim().toLowerCase();
    if (said === '') continue;
    const match = /^([a-z]+(?:[- ][a-z]+)?)\s*[:=]?\s+([a-z]+(?:[- ][a-z]+)?)$/.exec(said);
    const school = allSchools.find(({ written }) => said.replace(/^(after|ball)\s+/, '$1-').startsWith(`${written} `));
    const answer = school?.answers.find(
      ({ written }) => said.endsWith(written) || said.endsWith(written.replace('-', ' ')),
    );
    if (!match || !answer) return { schools, unread: part.trim() };
    schools = { ...schools, ...answer.means };
  }
  return { schools, unread: null };
}

function readSchoolLine(scan: Scan, head: SchoolHead): void {
  const at = scan.at;
  const { schools, unread } = readSchools(rest(scan));
  if (unread !== null || Object.keys(schools).length === 0)
    fault(
      scan,
      at,
      (unread ?? '').slice(0, 40),
      `"${(unread ?? '').slice(0, 40)}" is not one of the settings under Where coaches differ`,
      `write ${schoolsExample}`,
    );
  if (Object.keys(schools).length > 0) head.schools = { ...head.schools, ...schools };
}

const bounds = [
  ['mass', 0.01, 20],
  ['upper', 0.05, 10],
  ['lower', 0.05, 10],
  ['tensionUpper', 0.1, 5000],
  ['tensionLower', 0.1, 5000],
] as const;

function readBall(scan: Scan, head: SchoolHead): void {
  const at = scan.at;
  const figures = rest(scan)
    .split(',')
    .map((figure) => Number(figure.trim() === '' ? NaN : figure));
  const fits = bounds.every(([, least, most], index) => {
    const figure = figures[index] ?? NaN;
    return figure >= least && figure <= most;
  });
  const [mass, upper, lower, tensionUpper, tensionLower] = figures;
  if (figures.length !== bounds.length || !fits)
    fault(
      scan,
      at,
      rest(scan).trim().slice(0, 40),
      'these are not valid ball measurements',
      'write ball: mass in kg, upper and lower cord in m, upper and lower tension in N, for example ball: 0.3, 1.2, 1.4, 63, 60',
    );
  else
    head.ball = {
      mass: mass ?? 0,
      upper: upper ?? 0,
      lower: lower ?? 0,
      tensionUpper: tensionUpper ?? 0,
      tensionLower: tensionLower ?? 0,
    };
}

function readGloves(scan: Scan, head: SchoolHead): void {
  const at = scan.at;
  const on = take(scan, /on\s+(\d{1,3})\s?s?/);
  const off = take(scan, /off\s+(\d{1,3})\s?s?/);
  const [onMs, offMs] = [Number(on?.[1] ?? NaN) * 1000, Number(off?.[1] ?? NaN) * 1000];
  if (!(onMs <= 600_000 && offMs <= 600_000) || rest(scan).trim() !== '')
    fault(
      scan,
      at,
      scan.line.text.slice(at).trim().slice(0, 40),
      'this is not a time for gloves',
      'write gloves: on 45s, off 20s',
    );
  else head.gloves = { onMs, offMs };
}

/** Reads `conventions: …` (also the older word `schools`), `ball: …` or `gloves: …`; false where the line is none of them. */
export function readSchoolHead(scan: Scan, head: SchoolHead): boolean {
  const found = take(scan, /(schools|conventions|ball|gloves)\s*:/);
  if (!found) return false;
  const key = (found[1] ?? '').toLowerCase();
  if (key === 'schools' || key === 'conventions') readSchoolLine(scan, head);
  else if (key === 'ball') readBall(scan, head);
  else readGloves(scan, head);
  return true;
}

/** The lines of a sheet's schools, ball and gloves, as the reader takes them. */
export function schoolLines({ schools, ball, gloves }: SchoolHead): string[] {
  const said = allSchools.flatMap(({ key, written: school, answers }) =>
    answers.flatMap(({ written, means }) =>
      schools?.[key] !== undefined && schools[key] === means[key] ? [`${school} ${written}`] : [],
    ),
  );
  return [
    ...(said.length > 0 ? [`schools: ${said.join('; ')}`] : []),
    ...(ball ? [`ball: ${[ball.mass, ball.upper, ball.lower, ball.tensionUpper, ball.tensionLower].join(', ')}`] : []),
    ...(gloves ? [`gloves: on ${gloves.onMs / 1000}s, off ${gloves.offMs / 1000}s`] : []),
  ];
}
