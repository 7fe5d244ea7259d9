import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { NgTemplateOutlet } from '@angular/common';
import { BreakpointObserver } from '@angular/cdk/layout';
import { toSignal } from '@angular/core/rxjs-interop';
import { map } from 'rxjs';
import {
  blockName,
  breathAt,
  earlyMoves,
  exerciseNamed,
  leafDetail,
  leafName,
  lanesNow,
  planLeaf,
  sayClock,
  sayEffort,
  sayGroups,
  schemeOrSix,
  strikingAt,
  taughtAt,
  wordsOn,
  writeCombination,
  type Leaf,
  type Phase,
  type Schools,
  type Settings,
  type Sheet,
  type ShownScript,
  type Timeline,
  type ViewName,
  type WallView,
  type Where,
} from '../../../core/index';
import { StrikeStaff } from '../strike-staff/strike-staff';
import { StageFigure } from './stage-figure';
import { StageStrip } from './stage-strip';
import { standings } from './standings';
import { StageLanes } from './stage-lanes';

/** What a class sees of a session that runs, on the coach's tablet and on a wall: clock, staff, what is said and what is next. */
@Component({
  selector: 'kt-stage',
  imports: [NgTemplateOutlet, StageFigure, StageLanes, StageStrip, StrikeStaff],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './stage.html',
  styleUrl: './stage.scss',
  host: {
    '[class.resting]': 'leaf()?.block === "rest"',
    '[class.clock-alone]': 'view() === "clock"',
    '[class.of-board]': 'view() === "board"',
  },
})
export class Stage {
  readonly sheet = input.required<Sheet>();
  readonly timeline = input.required<Timeline>();
  readonly where = input.required<Where>();
  /** null before a run has begun. */
  readonly phase = input.required<Phase | null>();
  readonly breaksPassed = input.required<number>();
  /** What is said, where it is known. */
  readonly script = input.required<ShownScript | null>();
  readonly said = input('');
  /** Names under the codes. */
  readonly named = input(true);
  /** A screen that has lost its line counts on alone: said calmly, without a sound, as large as its clock. */
  readonly lost = input(false);
  /** Whether the breath is held in a rest. */
  readonly breathHeld = input(false);
  /** What the coach thinks where coaches disagree; the sheet's own word goes first. */
  readonly schools = input<Schools>();
  /** What shows a combination while it is done: its staff, the figure, or both. */
  readonly shownBy = input<Settings['shownBy']>('staff');
  readonly figureView = input<ViewName>('three-quarter');
  readonly view = input<WallView>('everything');
  /** The bag whose version is shown where the view is one lane. */
  readonly lane = input<string | null>(null);

  protected readonly leafDetail = leafDetail;
  protected readonly leaf = computed(() => this.where().leaf);
  protected readonly next = computed(() => this.where().next);
  protected readonly scheme = computed(() => schemeOrSix(this.sheet().numbers));
  private readonly lanes = computed(() => {
    const leaf = this.leaf();
    return leaf ? lanesNow(this.sheet(), this.timeline(), leaf, this.schools()) : [];
  });
  /** Of a screen that shows one lane: what that lane does. */
  protected readonly onLane = computed(() =>
    this.view() === 'lane' ? (this.lanes().find(({ bag }) => bag === this.lane()) ?? null) : null,
  );
  protected readonly others = computed(() => (this.view() === 'lane' ? [] : this.lanes()));
  /** The combination that is done here, and whether it is the piece's own. */
  protected readonly done = computed(() => this.onLane()?.combination ?? this.leaf()?.combination ?? null);
  protected readonly standing = computed(() => {
    const phase = this.phase();
    return phase === null ? null : standings[phase];
  });
  protected readonly countsIn = computed(() => this.phase() !== null && this.where().position < 0);
  protected readonly clock = computed(() => {
    const { clock } = this.where();
    return sayClock((this.phase() === 'break' ? Math.floor(clock / 1000) : Math.ceil(clock / 1000)) * 1000);
  });
  /** Share of the piece that is behind, 0 to 100, in steps so that little is drawn anew. */
  protected readonly behind = computed(() => {
    const { parts, clock } = this.where();
    const whole = parts.reduce((sum, { ms }) => sum + ms, 0);
    return whole > 0 && this.phase() !== 'break' ? Math.round(1000 * (1 - clock / whole)) / 10 : 0;
  });
  /** What is left of the whole block, where the piece is only a part of it. */
  protected readonly blockLeft = computed(() => {
    const [{ parts, position }, { leaves }] = [this.where(), this.timeline()];
    const leaf = parts.at(-1);
    if (!leaf || this.phase() === 'break') return null;
    const last = leaves.findLast(
      (each) => each.blockId === leaf.blockId && each.round === leaf.round && each.kind === leaf.kind,
    );
    const end = (last?.at ?? leaf.at) + (last?.ms ?? 0);
    return end > leaf.at + leaf.ms ? sayClock(Math.ceil((end - position) / 1000) * 1000) : null;
  });
  protected readonly heading = computed(() => {
    const leaf = this.leaf() ?? this.next();
    if (!leaf) return this.sheet().title;
    if (leaf.round === null) return blockName(leaf);
    const round = `Round ${leaf.round} of ${this.timeline().rounds}`;
    return leaf.title ? `${round} · ${leaf.title}` : round;
  });
  /** What the script says in this leaf that a class reads off the wall; nothing that is muted, in the coach's own words. */
  protected readonly words = computed((): readonly string[] => {
    const [leaf, script] = [this.leaf(), this.script()];
    return leaf && script ? wordsOn(script, leaf, this.breaksPassed()) : [];
  });
  private readonly parts = computed(() => this.where().parts, {
    equal: (a, b) => a.length === b.length && a.every((leaf, at) => leaf === b[at]),
  });
  protected readonly detail = computed(() => {
    const leaf = this.leaf();
    if (!leaf) return '';
    const lane = this.onLane();
    const here = lane ? [[lane.bag, sayGroups(lane.groups)].filter((each) => each !== '').join(', ')] : [];
    const stage = leaf.stage ? [`stage ${leaf.stage.number} of ${leaf.stage.of}`] : [];
    const works = leaf.kind !== 'rest' && leaf.kind !== 'show';
    const effort = works ? [...(leaf.focus ? [leaf.focus] : []), sayEffort(leaf.effort)] : [];
    const stance = leaf.stance === 'square' ? ['square'] : [];
    // Of the whole piece, whatever parts changes have made of it.
    const plans = this.parts().map(planLeaf);
    const least = Math.round(plans.reduce((sum, plan) => sum + plan.least, 0));
    const most = Math.round(plans.reduce((sum, plan) => sum + plan.most, 0));
    const strikes = most > 0 ? [least === most ? `${most} strikes planned` : `${least} to ${most} strikes`] : [];
    return [...here, ...stage, ...stance, ...effort, ...(leaf.nonStop ? ['non-stop'] : []), ...strikes].join(' · ');
  });

  /** How an exercise that the library knows is done: what to watch. */
  protected readonly how = computed(() => {
    const words = this.leaf()?.words;
    return words && this.leaf()?.combination === null ? (exerciseNamed(words)?.how ?? null) : null;
  });
  /** The combination that a rest leads to, large; null where there is none to show. */
  protected readonly coming = computed(() => {
    const [leaf, next] = [this.leaf(), this.next()];
    if (leaf?.block !== 'rest' || !next) return null;
    if (this.view() !== 'lane') return next.combination;
    const own = lanesNow(this.sheet(), this.timeline(), next, this.schools()).find(({ bag }) => bag === this.lane());
    return own ? own.combination : next.combination;
  });
  /** The breath in a rest, in steps so that little is drawn anew; at rest where motion is to be little. */
  protected readonly breath = computed(() => {
    const leaf = this.leaf();
    if (leaf?.block !== 'rest' || this.countsIn()) return null;
    const since = leaf.open ? this.where().clock : this.where().position - leaf.at;
    const { phase, full } = breathAt(since, this.breathHeld());
    return { phase, full: this.calm() ? 0.5 : Math.round(full * 200) / 200 };
  });

  /** What comes next; within a block its name need not be said again. */
  protected nextName(next: Leaf): string {
    const detail = leafDetail(next);
    return next.blockId === this.leaf()?.blockId && detail ? detail : leafName(next);
  }

  /** The early moves of a stage that attention drifts away from. */
  protected remindOf(leaf: Leaf): string | null {
    const early = earlyMoves(leaf);
    return early ? writeCombination(early, this.scheme()) : null;
  }

  protected readonly calm = toSignal(
    inject(BreakpointObserver)
      .observe('(prefers-reduced-motion: reduce)')
      .pipe(map(({ matches }) => matches)),
    { initialValue: false },
  );
  /** The figure of what is on; in a show always, else where it was chosen. Nothing on a lane's own version. */
  protected readonly figured = computed(() => {
    const leaf = this.leaf();
    const wanted = this.shownBy() !== 'staff' || leaf?.block === 'show';
    const shows =
      leaf && (leaf.combination !== null || leaf.touches.length > 0 || exerciseNamed(leaf.words ?? '')?.still);
    return leaf && shows && wanted && !this.onLane() && !this.countsIn() ? leaf : null;
  });
  protected readonly staffed = computed(() => this.figured()?.combination === undefined || this.shownBy() !== 'figure');
  /** The move that is done now, at the pace of the class; none where motion is to be little. */
  protected readonly lit = computed(() => {
    const leaf = this.leaf();
    const changed = this.onLane()?.combination !== undefined && this.onLane()?.how !== 'fits';
    const script = this.script();
    if (leaf?.block === 'show') return script ? taughtAt(script, leaf, this.where().position) : null;
    return leaf && !changed && !this.calm() && !this.countsIn() ? strikingAt(leaf, this.where().position) : null;
  });
}
