import type { CallKind } from '../sheet/call-kinds';
import { crowdedCalls, restNeeds, type CrowdedCall } from '../script/needs';
import type { CallEdit } from '../sheet/calls';
import { callOptionsOf } from '../script/script';
import type { Milliseconds } from '../units';
import { sayClock } from '../clock-text';
import type { Leaf } from '../timeline/leaf';
import { leafName } from '../timeline/names';
import { changeBlock } from '../sheet/edit';
import { nudgeTimes } from '../sheet/edit-many';
import type { Sheet } from '../sheet/schema';
import { perRound, stagesOf } from '../timeline/stages';
import { sayMends, type Checked, type Finding, type Mend } from './finding';

/** Lengths are mended to the next five seconds. */
const step: Milliseconds = 5000;
const stepUp = (ms: Milliseconds): Milliseconds => Math.ceil(ms / step) * step;

/** A rest that has not the time for what is said in it. */
export function crowdedRestFindings({ sheet, timeline, wishes }: Checked): Finding[] {
  const options = callOptionsOf(sheet, timeline, wishes);
  const seen = new Set<string>();
  return restNeeds(timeline, options).flatMap(({ leaf, needs, what }): Finding[] => {
    if (needs <= leaf.ms || seen.has(leaf.blockId)) return [];
    seen.add(leaf.blockId);
    const enough = stepUp(needs);
    const between = leaf.betweenRepeats;
    return [
      {
        level: 'warning',
        kind: 'crowded rest',
        where: leafName(leaf),
        what: `this rest is ${sayClock(leaf.ms)}, but ${what.join(', ')} and the countdown need ${sayClock(enough)}`,
        mend: `make the rest ${sayClock(enough)}, shorten the calls, or drop some`,
        blockId: leaf.blockId,
        mends: [
          {
            label: `Make the rest ${sayClock(enough)}`,
            edit: (now) => {
              const block = now.blocks.find(({ id }) => id === leaf.blockId);
              return changeBlock(
                now,
                leaf.blockId,
                between && block?.kind !== 'rest' ? { restMs: enough } : { ms: enough },
              );
            },
          },
          ...(what.includes('water') || what.includes('breathing')
            ? [
                {
                  label: 'Drop the water and breathing calls',
                  edit: (now: Sheet) => withQuiet(now, ['water', 'breathing']),
                },
              ]
            : []),
          ...(sheet.calls?.wordings?.phrases?.some(({ key }) => key === 'next')
            ? []
            : [{ label: 'Call only the combination', edit: shortPreview }]),
        ],
      },
    ];
  });
}

function withQuiet(sheet: Sheet, kinds: readonly CallKind[]): Sheet {
  return { ...sheet, calls: { ...sheet.calls, quiet: [...new Set([...(sheet.calls?.quiet ?? []), ...kinds])] } };
}

function shortPreview(sheet: Sheet): Sheet {
  const { wordings } = sheet.calls ?? {};
  const next = { key: 'next' as const, full: '{combination}' };
  return {
    ...sheet,
    calls: { ...sheet.calls, wordings: { ...wordings, phrases: [...(wordings?.phrases ?? []), next] } },
  };
}

/** The sheet with a piece, and the block around it, so much longer; a build's stages each. */
function lengthened(sheet: Sheet, { blockId, pieceId }: Leaf, by: Milliseconds): Sheet {
  const block = sheet.blocks.find(({ id }) => id === blockId);
  const piece = block?.pieces.find(({ id }) => id === pieceId);
  if (!block) return sheet;
  const each = piece?.kind === 'build' && !perRound(piece) ? stagesOf(piece).length : 1;
  const longer = piece ? nudgeTimes(sheet, new Set([piece.id]), by) : sheet;
  return changeBlock(longer, blockId, { ms: (block.ms ?? 0) + by * each });
}

/** The sheet with a change of one call. */
const withEdit =
  (edit: CallEdit) =>
  (sheet: Sheet): Sheet => ({
    ...sheet,
    calls: { ...sheet.calls, edits: [...(sheet.calls?.edits ?? []).filter(({ key }) => key !== edit.key), edit] },
  });

/** The sheet with an own call of a block so much earlier, but not before the block begins. */
function earlier(sheet: Sheet, blockId: string, words: string, by: Milliseconds): Sheet {
  const says = sheet.blocks.find(({ id }) => id === blockId)?.says ?? [];
  const moved = says.map((say) => (say.words === words ? { ...say, atMs: Math.max(0, say.atMs - by) } : say));
  return changeBlock(sheet, blockId, { says: moved });
}

/** What can be done for a call that has not the time. */
function mendsOf({ call, leaf, takes, room }: CrowdedCall): Mend[] {
  const words = call.phrases[0]?.say ?? '';
  const out = { label: 'Drop this call', edit: withEdit({ key: call.key, muted: true }) };
  if (call.kind === 'own') {
    const by = Math.ceil((takes - room) / 1000) * 1000;
    const label = `Call it ${by / 1000} s earlier`;
    return [{ label, edit: (now) => earlier(now, leaf.blockId, words, by) }, out];
  }
  const by = stepUp(takes - room);
  return [
    { label: `Make it ${sayClock(leaf.ms + by)}`, edit: (now) => lengthened(now, leaf, by) },
    { label: 'Say “As shown”', edit: withEdit({ key: call.key, say: 'As shown' }) },
    out,
  ];
}

/** A combination, or a call of the coach's own, that takes longer to say than there is time for it; once for each piece. */
export function crowdedCallFindings({ sheet, timeline, wishes }: Checked): Finding[] {
  const seen = new Set<string>();
  return crowdedCalls(timeline, callOptionsOf(sheet, timeline, wishes)).flatMap((crowded): Finding[] => {
    const { call, leaf, takes, room } = crowded;
    const place = `${call.kind} ${leaf.pieceId ?? leaf.blockId}`;
    if (seen.has(place)) return [];
    seen.add(place);
    const mends = mendsOf(crowded);
    return [
      {
        level: 'warning',
        kind: 'crowded call',
        where: leafName(leaf),
        what: `“${call.phrases.at(-1)?.say ?? ''}” takes ${(takes / 1000).toFixed(1)} s to say, but there are only ${(room / 1000).toFixed(1)} s`,
        mend: `${sayMends(mends)}, or shorten it`,
        blockId: leaf.blockId,
        ...(leaf.pieceId ? { pieceId: leaf.pieceId } : {}),
        mends,
      },
    ];
  });
}
