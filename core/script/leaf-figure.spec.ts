import { figureLandings } from '../figure/figure-of';
import { onsets } from '../mechanics/study';
import { motions } from '../figure/motions';
import { moveKind } from '../moves/catalogue';
import { readTempoText } from '../formats/tempo-text/read';
import { compile } from '../timeline/compile';
import { repetitionsOf } from '../timeline/repetitions';
import { leafFigure } from './leaf-figure';
import { scriptOf } from './script';

describe('the figure of a leaf', () => {
  it('lands on the grid that voice, clicks and lights have', () => {
    const { sheet } = readTempoText('class: beginners\nround 0:30: 1 2 3b ro 4');
    const leaf = compile(sheet).leaves.find(({ combination }) => combination !== null);
    if (!leaf) throw new Error('no leaf');
    const repetitions = repetitionsOf(leaf);
    const landings = figureLandings(leafFigure(leaf, null, 'orthodox')?.figure ?? fail() ?? never());
    expect(repetitions.length).toBeGreaterThan(3);
    expect(landings.length).toBe(repetitions.length * 4);
    let checked = 0;
    for (const { at, repetition } of repetitions) {
      const starts = onsets(repetition);
      for (const landing of landings.filter((each) => each.at > at && each.at < at + repetition.ms / leaf.pace)) {
        const { move } = landing;
        const hit = motions[move.id](move.side ?? 'lead', move.target).hit?.at ?? 0;
        const due = at + ((starts[landing.step] ?? 0) + hit * moveKind(move.id).ms) / leaf.pace;
        expect(Math.abs(landing.at - due)).toBeLessThan(0.001);
        checked += 1;
      }
    }
    expect(checked).toBe(landings.length);
  });

  it('shows a show as it is taught: in halves and whole, each move at its word, from the side and then in front', () => {
    const { sheet } = readTempoText('show 1:30: 1 2 3b 2\nround 1:00: 1 2 3b 2');
    const timeline = compile(sheet);
    const script = scriptOf(sheet, {}, timeline);
    const leaf = timeline.leaves[0];
    if (!leaf) throw new Error('no leaf');
    const shown = leafFigure(leaf, script, 'orthodox');
    const taught = script.calls.filter(({ kind }) => kind === 'teach');
    expect(taught.length).toBeGreaterThan(5);
    const words = taught.flatMap(({ at, parts }) =>
      (parts ?? []).flatMap((part) => (part.step ? [at + part.at - leaf.at] : [])),
    );
    const begun = shown?.figure.motion.done.map(({ at }) => at) ?? [];
    expect(begun).toEqual(words);
    const steps = shown?.figure.motion.hits.map(({ move }) => move.id) ?? [];
    expect(steps.slice(0, 8)).toEqual(['jab', 'cross', 'hook', 'cross', 'jab', 'cross', 'hook', 'cross']);
    expect(shown?.views.slice(0, 4).map(({ view }) => view)).toEqual(['side', 'side', 'side', 'mirrored front']);
  });

  it('has none where there is no combination', () => {
    const leaf = compile(readTempoText('warm-up 1:00').sheet).leaves[0];
    expect(leaf && leafFigure(leaf, null, 'orthodox')).toBeNull();
  });
});

function never(): never {
  throw new Error('no figure');
}
