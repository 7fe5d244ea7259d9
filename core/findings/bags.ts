import { fittingStages } from '../adapting/adapt-sheet';
import { usualSchools, type Conditions, type Schools } from '../bags/conditions';
import { natureOf, shownBag, type BagNature } from '../bags/kinds';
import { fitToBag, type BagFit } from '../bags/fit';
import { moveKind } from '../moves/catalogue';
import { move, type Move } from '../moves/move';
import type { Combination, Item } from '../notation/combination';
import { mapMoves } from '../notation/map-moves';
import { readStored, schemeOrSix } from '../notation/stored';
import { writeCombination } from '../notation/write';
import { lanesOf } from '../lanes/lanes';
import { changePiece } from '../sheet/edit';
import type { Block, Piece, PieceOf, Sheet } from '../sheet/schema';
import { schools } from '../sheet/schools';
import { isOnLanes } from '../timeline/bags-of';
import { pieceName } from '../timeline/piece-name';
import { schoolsOf } from '../timeline/schools-of';
import { goalTexts, stagesOf } from '../timeline/stages';
import type { Checked, Finding, Mend, Place } from './finding';

/** A bag as a block's work meets it. */
interface Met {
  readonly bag: string;
  readonly nature: BagNature;
  readonly conditions: Conditions;
  /** The same where nature and conditions are: what a fit is remembered by. */
  readonly key: string;
}

/** The one bag of a block with what it takes here; null where lanes adapt it for several, or nobody made such a kind. */
function bagOf(sheet: Sheet, block: Block, coach: Schools): Met | null {
  if (block.kind !== 'round') return null;
  const lanes = isOnLanes(block) ? lanesOf(sheet, coach) : [];
  if (lanes.length > 1) return null;
  const [lane] = lanes;
  const bag = lane?.bag ?? block.bag ?? sheet.bag;
  const nature = natureOf(bag, sheet.ownBags);
  const conditions = lane?.conditions ?? { level: sheet.class.level, schools: schoolsOf(sheet, coach) };
  return nature && { bag, nature, conditions, key: JSON.stringify([nature, conditions]) };
}

/** The fit of a combination on a bag, remembered: a sheet is judged anew with every key. */
const remembered = new WeakMap<Combination, Map<string, BagFit>>();

function fitOf(combination: Combination, { nature, conditions, key }: Met): BagFit {
  const known = remembered.get(combination) ?? new Map<string, BagFit>();
  remembered.set(combination, known);
  const fit = known.get(key) ?? fitToBag(combination, nature, conditions);
  known.set(key, fit);
  return fit;
}

const put = (piece: PieceOf<'combination'> | PieceOf<'build'>, text: string): Piece =>
  piece.kind === 'build' ? { ...piece, goal: text } : { ...piece, text };

const take = (piece: PieceOf<'combination'> | PieceOf<'build'>, text: string): Mend => ({
  label: `Use ${text}`,
  edit: (now) => changePiece(now, put(piece, text)),
});

/** A stage of a build that does not fit although its goal does, as a hook that ends a rung on a ball. */
function stageFinding(met: Met, piece: PieceOf<'build'>): Pick<Finding, 'what' | 'mend' | 'mends'> | null {
  const stages = stagesOf(piece, met.conditions.schools?.kick);
  const at = stages.findIndex((stage) => fitOf(stage.combination, met).verdict !== 'fits');
  const stage = stages[at];
  if (!stage) return null;
  const [reason = `not suited to the ${shownBag(met.bag)}`] = fitOf(stage.combination, met).reasons;
  const fitting = fittingStages(piece, met.nature, met.conditions);
  return {
    what: `stage ${at + 1} of ${stages.length}, ${writeCombination(stage.combination)}: ${reason}`,
    mend: fitting === piece ? 'use another kind of build, or another bag' : `mark the stages yourself: ${fitting.goal}`,
    mends:
      fitting === piece ? [] : [{ label: `Build it as ${fitting.goal}`, edit: (now) => changePiece(now, fitting) }],
  };
}

/** The one answer where coaches differ that would let a combination stand as it is; null where none does. */
function allowedBy(combination: Combination, met: Met): { readonly name: string; readonly mend: Mend } | null {
  const { nature, conditions } = met;
  for (const school of schools)
    for (const { name, means } of school.answers) {
      const others = { ...conditions, schools: { ...usualSchools, ...conditions.schools, ...means } };
      const there: Met = { ...met, conditions: others, key: JSON.stringify([nature, others]) };
      if (fitOf(combination, there).verdict !== 'fits') continue;
      const whole = `${school.name}: ${name}`;
      const edit = (now: Sheet): Sheet => ({ ...now, schools: { ...now.schools, ...means } });
      return { name: whole, mend: { label: `Choose ${whole}`, edit } };
    }
  return null;
}

function pieceFit(
  met: Met,
  piece: PieceOf<'combination'> | PieceOf<'build'>,
): Pick<Finding, 'what' | 'mend' | 'mends'> | null {
  for (const text of piece.kind === 'build' ? goalTexts(piece) : [piece.text]) {
    const read = readStored(text);
    if (!read.ok) continue;
    const fit = fitOf(read.value, met);
    if (fit.verdict === 'fits') continue;
    const adapted = fit.adapted && writeCombination(fit.adapted);
    const allowed = allowedBy(read.value, met);
    // Whatever is adapted has its reason; what is not has its reason and what to do instead.
    const why = (adapted ? fit.reasons.join('; ') : fit.reasons[0]) ?? `not suited to the ${shownBag(met.bag)}`;
    return {
      what: allowed ? `${why}; “${allowed.name}” under Where coaches differ would allow it` : why,
      mend: adapted ? `use ${adapted}` : (fit.reasons[1] ?? 'use another bag'),
      mends: [...(adapted ? [take(piece, adapted)] : []), ...(allowed ? [allowed.mend] : [])],
    };
  }
  return piece.kind === 'build' ? stageFinding(met, piece) : null;
}

/** A rhythm where there is no board to rebound from, or an elbow that the school does not allow. */
function rhythmFinding(
  { nature, conditions }: Met,
  piece: PieceOf<'rhythm'>,
): Pick<Finding, 'what' | 'mend' | 'mends'> | null {
  if (!nature.rhythm)
    return {
      what: `rhythms are for speed bags; the ${nature.shown} has no board`,
      mend: 'move the round to the speed bag, or use straights',
      mends: [],
    };
  if (!piece.elbow || conditions.schools?.ballTricks) return null;
  return {
    what: 'elbows on the speed bag are switched off under Where coaches differ',
    mend: 'allow them (ball-tricks yes), or remove the elbow',
    mends: [
      {
        label: 'Remove the elbow',
        edit: (now) => {
          const { elbow: _, ...plain } = piece;
          return changePiece(now, plain);
        },
      },
    ],
  };
}

/** What would help a piece that fits: a cover after a hard straight at a ball. */
function offerFindings(met: Met, piece: Piece): Pick<Finding, 'what' | 'mend' | 'mends'> | null {
  const read = piece.kind === 'combination' ? readStored(piece.text) : null;
  const offers = read?.ok ? fitOf(read.value, met).offers : [];
  const [first] = offers;
  if (!first || piece.kind !== 'combination') return null;
  const texts = offers.map(({ combination }) => writeCombination(combination));
  return { what: first.what, mend: `take ${texts.join(' or ')}`, mends: texts.map((text) => take(piece, text)) };
}

/** Whether a combination goes straight in without going round: a step in, or one under a strike, and no step aside. */
function walksIn({ items }: Combination): boolean {
  let inward = false;
  let aside = false;
  const visit = (each: Item): void => {
    if (each.kind === 'move' && !each.feint) {
      const { distance, family, circles, mirror, marked } = moveKind(each.id);
      if (family !== 'feet') return;
      inward ||= distance === 'joins';
      aside ||= circles === true || mirror !== null || marked === true;
    } else if (each.kind === 'pair') each.moves.forEach(visit);
    else if (each.kind === 'group') each.items.forEach(visit);
    else if (each.kind === 'turns') each.options.flat().forEach(visit);
  };
  items.forEach(visit);
  return inward && !aside;
}

/** Left and right round the bag in place of in and out. */
function roundTheBag(combination: Combination): Combination {
  const changed = mapMoves(combination, (each: Move) => {
    const { family, distance } = moveKind(each.id);
    if (family !== 'feet' || each.feint) return each;
    return distance === 'joins' ? move('step-left') : distance === 'parts' ? move('step-right') : each;
  });
  const goesBack = changed.items.some((item) => item.kind === 'move' && item.id === 'step-right');
  return goesBack ? changed : { ...changed, items: [...changed.items, move('step-right')] };
}

/** Beginners who walk straight into a bag that swings (trade page, section 7). */
function walkingIn({ nature, conditions }: Met, piece: Piece): Pick<Finding, 'what' | 'mend' | 'mends'> | null {
  if (!nature.hangs || conditions.level !== 'beginner' || (piece.kind !== 'combination' && piece.kind !== 'build'))
    return null;
  const text = piece.kind === 'build' ? goalTexts(piece)[0] : piece.text;
  const read = text === undefined ? null : readStored(text);
  if (!read?.ok || !walksIn(read.value)) return null;
  const aside = writeCombination(roundTheBag(read.value));
  return {
    what: 'this sends beginners straight into the bag as it swings back',
    mend: `work left and right around it: ${aside}`,
    mends: [take(piece, aside)],
  };
}

const strikes = (piece: Piece): boolean =>
  piece.kind === 'combination' || piece.kind === 'build' || piece.kind === 'rhythm';

/** Everything about a piece on the bag that it is done on, where no lanes adapt it. */
export function bagFindings({ sheet }: Checked, places: readonly Place[], coach: Schools): Finding[] {
  const scheme = schemeOrSix(sheet.numbers);
  return places.flatMap(({ block, name }): Finding[] => {
    const met = bagOf(sheet, block, coach);
    if (!met) return [];
    return block.pieces.filter(strikes).flatMap((piece): Finding[] => {
      const misfit =
        piece.kind === 'rhythm'
          ? rhythmFinding(met, piece)
          : piece.kind === 'combination' || piece.kind === 'build'
            ? pieceFit(met, piece)
            : null;
      const walking = walkingIn(met, piece);
      const offer = misfit ? null : offerFindings(met, piece);
      if (!misfit && !walking && !offer) return [];
      const about = { where: `${name}, ${pieceName(piece, scheme)}`, blockId: block.id, pieceId: piece.id };
      return [
        ...(misfit ? [{ level: 'warning', kind: 'bag', ...about, ...misfit } as const] : []),
        ...(walking ? [{ level: 'note', kind: 'walking in', ...about, ...walking } as const] : []),
        ...(offer ? [{ level: 'note', kind: 'offer', ...about, ...offer } as const] : []),
      ];
    });
  });
}

/** Whether any bag of a sheet's rounds takes something to the body, so that advice to hit it makes sense. */
export function takesBody(sheet: Sheet, coach: Schools): boolean {
  const schools = schoolsOf(sheet, coach);
  return sheet.blocks.some((block) => {
    if (block.kind !== 'round') return false;
    const lanes = isOnLanes(block) ? lanesOf(sheet, coach).map(({ nature }) => nature) : [];
    const natures = lanes.length > 0 ? lanes : [natureOf(block.bag ?? sheet.bag, sheet.ownBags)];
    return natures.some(
      (nature) =>
        nature?.targets.includes('body') || (nature?.bodyBySchool && schools.bodyOnDoubleEnd === 'lower cord'),
    );
  });
}
