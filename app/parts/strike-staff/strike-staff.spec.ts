import { TestBed } from '@angular/core/testing';
import { eight, readCombination, six, study, type Combination } from '../../../core/index';
import { testProviders } from '../../spec-store.spec';
import { glyphHeight, layoutStaff } from './layout';
import { outlinePath } from './outlines';
import type { StaffLayout } from './staff';
import { StrikeStaff } from './strike-staff';

function combinationOf(text: string): Combination {
  const read = readCombination(text);
  if (!read.ok) throw new Error(read.fault.what);
  return read.value;
}

function layoutOf(text: string, added: readonly number[] = [], levels: 'used' | 'all' = 'used'): StaffLayout {
  const combination = combinationOf(text);
  return layoutStaff(combination, { scheme: six, added, levels, study: study(combination) });
}

describe('outlines', () => {
  const boxOf = (d: string): DOMRect => {
    const svg = document.createElementNS('http://www.w3.org/2000/svg', 'svg');
    const path = document.createElementNS('http://www.w3.org/2000/svg', 'path');
    path.setAttribute('d', d);
    svg.append(path);
    document.body.append(svg);
    const box = path.getBBox();
    svg.remove();
    return box;
  };

  it('stand where they are put, as wide as their words and hardly higher than a line', () => {
    const { glyphs } = layoutOf('1 3 5 lel rkn bk tp push sl in sq wait any 2');
    const outlines = new Set(glyphs.map(({ outline }) => outline));
    expect(outlines.size).toBeGreaterThan(11);
    for (const outline of outlines)
      for (const width of [24, 60]) {
        const [here, there] = [boxOf(outlinePath(outline, width)), boxOf(`M200 50${outlinePath(outline, width)}`)];
        expect(there.x - here.x)
          .withContext(outline)
          .toBeCloseTo(200, 1);
        expect(there.y - here.y)
          .withContext(outline)
          .toBeCloseTo(50, 1);
        expect(here.x).withContext(outline).toBeGreaterThan(-0.1);
        expect(Math.abs(here.x + here.width - width))
          .withContext(outline)
          .toBeLessThanOrEqual(3);
        // What rises or pushes stands out by three at most; a pause is only a line at the foot.
        expect(here.y)
          .withContext(outline)
          .toBeGreaterThan(-glyphHeight / 2 - 3.1);
        expect(here.y + here.height)
          .withContext(outline)
          .toBeLessThan(glyphHeight / 2 + 2.1);
      }
  });
});

describe('the strike staff’s layout', () => {
  it('puts lead above rear, and head above body above leg', () => {
    const y = (text: string) => layoutOf(`${text} 1 2 1b lk`).glyphs[0]?.y ?? 0;
    expect(y('1')).toBeLessThan(y('3b'));
    expect(y('3b')).toBeLessThan(y('llk'));
    expect(y('llk')).toBeLessThan(y('2'));
    expect(y('2')).toBeLessThan(y('2b'));
    expect(y('2b')).toBeLessThan(y('lk'));
  });

  it('leaves out levels that nothing stands on in a row, and keeps head and body in a room', () => {
    expect(layoutOf('1 2').staves.length).toBe(2);
    expect(layoutOf('1 2b').staves.length).toBe(4);
    expect(layoutOf('1 2', [], 'all').staves.length).toBe(4);
    expect(layoutOf('1 lk', [], 'all').staves.length).toBe(6);
  });

  it('keeps the names of lead strikes off the middle line, on a wall, too', () => {
    const options = { scheme: six, added: [], levels: 'used', study: null, names: true } as const;
    for (const aspect of [undefined, 3]) {
      const { glyphs, middle } = layoutStaff(combinationOf('1 3b llk'), { ...options, ...(aspect ? { aspect } : {}) });
      const lowest = Math.max(...glyphs.map(({ y }) => y));
      // A name stands twenty under its move, its longest letters two more (strike-staff.html).
      expect(lowest + 22).toBeLessThan(middle);
      expect(glyphs.every(({ name }) => name !== '')).toBeTrue();
    }
  });

  it('leans defences to their side, without writing it', () => {
    const { glyphs, middle } = layoutOf('sl sl-l pu');
    expect(glyphs.map((glyph) => glyph.label)).toEqual(['sl', 'sl', 'pu']);
    expect(glyphs[0]?.y).toBeGreaterThan(middle);
    expect(layoutOf('1 bl').glyphs[1]?.y).toBeLessThan(middle);
    expect(glyphs[2]?.y).toBe(middle);
  });

  it('tells families apart by outline', () => {
    expect(layoutOf('1 3 5 lel rkn bk tp push sl in sq wait any 2').glyphs.map((glyph) => glyph.outline)).toEqual([
      'straight',
      'turning',
      'rising',
      'elbow',
      'knee',
      'kick',
      'teep',
      'push',
      'defence',
      'feet',
      'conditioning',
      'wait',
      'slot',
    ]);
  });

  it('rings new moves, pairs and groups written once included', () => {
    expect(
      layoutOf('1 in+2 3', [1, 2])
        .glyphs.filter((glyph) => glyph.isNew)
        .map((glyph) => glyph.label),
    ).toEqual(['in', '2']);
    expect(
      layoutOf('(1 2)x2 3', [4])
        .glyphs.filter((glyph) => glyph.isNew)
        .map((glyph) => glyph.label),
    ).toEqual(['3']);
  });

  it('marks seams that do not flow, with their reason, and bands where the feet have traded places', () => {
    const [mark] = layoutOf('1 2 4').marks;
    expect([mark?.verdict, mark?.warning]).toEqual(['reload', true]);
    expect(mark?.reason).toContain('rear side');
    expect(layoutOf('1 2').marks).toEqual([]);
    expect(layoutOf('1 switch 1').bands.length).toBe(1);
    expect(layoutOf('1 switch 1 switch 1').bands.length).toBe(1);
    expect(layoutOf('in+1').stems.length).toBe(1);
    expect(layoutOf('(1 2)x3').brackets.map((bracket) => bracket.text)).toEqual(['×3']);
    expect(layoutOf('[bk / swk] 2').signs.map((sign) => sign.text)).toEqual(['[', '/', ']']);
  });

  it('keeps glyphs apart and inside the drawing', () => {
    const { glyphs, width, height } = layoutOf('1 2 3b ro 4 5 bk any 2-5 hooks end 3 lk');
    expect(glyphs.length).toBeGreaterThan(1);
    glyphs.slice(1).forEach((glyph, index) => {
      const before = glyphs[index];
      expect(glyph.x).toBeGreaterThan((before?.x ?? 0) + (before?.width ?? 0));
    });
    expect(Math.max(...glyphs.map((glyph) => glyph.x + glyph.width))).toBeLessThan(width);
    expect(Math.max(...glyphs.map((glyph) => glyph.y + 11))).toBeLessThan(height);
  });
});

describe('the strike staff', () => {
  it('is one picture with the whole combination in words, and follows the scheme', async () => {
    TestBed.configureTestingModule({ providers: testProviders() });
    const fixture = TestBed.createComponent(StrikeStaff);
    fixture.componentRef.setInput('combination', combinationOf('1 2 sh 4'));
    fixture.componentRef.setInput('scheme', eight);
    fixture.componentRef.setInput('added', [3]);
    await fixture.whenStable();
    const svg = (fixture.nativeElement as HTMLElement).querySelector('svg');
    expect(svg?.getAttribute('role')).toBe('img');
    expect(svg?.getAttribute('aria-label')).toBe(
      'jab, cross, lead shovel hook, rear hook. New: move 4. Flows all the way through.',
    );
    expect([...(svg?.querySelectorAll('.glyph > text:first-of-type') ?? [])].map((text) => text.textContent)).toEqual([
      '1',
      '2',
      '7',
      '4',
    ]);
    expect(svg?.querySelectorAll('.ring').length).toBe(1);
  });

  it('gives way in a row of a list, as long as its numbers can be read', async () => {
    TestBed.configureTestingModule({ providers: testProviders() });
    const fixture = TestBed.createComponent(StrikeStaff);
    fixture.componentRef.setInput('combination', combinationOf('1 2 3 4 5 6'));
    fixture.componentRef.setInput('dense', true);
    const host = fixture.nativeElement as HTMLElement;
    document.body.append(host);
    await fixture.whenStable();
    const widthIn = (room: number): number => {
      host.style.width = `${room}px`;
      return host.querySelector('svg')?.getBoundingClientRect().width ?? 0;
    };
    const whole = widthIn(900);
    expect(whole).toBeGreaterThan(150);
    expect(widthIn(whole + 10)).toBeCloseTo(whole, 3);
    expect(widthIn(whole * 0.9)).toBeCloseTo(whole * 0.9, 0);
    expect(widthIn(whole / 2)).toBeCloseTo(whole * 0.75, 0);
    host.remove();
  });
});
