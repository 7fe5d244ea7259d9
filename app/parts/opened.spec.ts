import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { MatButtonModule } from '@angular/material/button';
import { Opened } from './opened';

@Component({
  imports: [MatButtonModule, Opened],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (open(); as id) {
      <section style="height: 3000px" [ktOpened]="id"><a href="#inside">inside</a></section>
    }
    <div style="height: 2000px"></div>
    <button type="button" matButton>row</button>
    <a class="elsewhere" href="#elsewhere">elsewhere</a>
  `,
})
class List {
  readonly open = signal<string | null>(null);
}

describe('what opens elsewhere than where it was pressed', () => {
  function setUp() {
    const fixture = TestBed.createComponent(List);
    const host = fixture.nativeElement as HTMLElement;
    document.body.append(host);
    TestBed.tick();
    const find = (selector: string): HTMLElement => host.querySelector(selector) ?? document.body;
    const open = (id: string | null): void => {
      fixture.componentInstance.open.set(id);
      TestBed.tick();
    };
    return { find, open };
  }

  it('takes the cursor, shows its beginning, and gives the cursor back', () => {
    const { find, open } = setUp();
    find('button').focus();
    expect(find('button').getBoundingClientRect().top).toBeLessThan(innerHeight);
    open('one');
    expect(document.activeElement).toBe(find('section'));
    expect(Math.abs(find('section').getBoundingClientRect().top)).toBeLessThan(innerHeight / 4);
    find('section a').focus();
    open(null);
    expect(document.activeElement).toBe(find('button'));
  });

  it('takes it again for another one, and still knows where it was opened first', () => {
    const { find, open } = setUp();
    find('button').focus();
    open('one');
    find('section a').focus();
    open('two');
    expect(document.activeElement).toBe(find('section'));
    open(null);
    expect(document.activeElement).toBe(find('button'));
  });

  it('lets whoever has gone elsewhere stay there', () => {
    const { find, open } = setUp();
    find('button').focus();
    open('one');
    find('.elsewhere').focus();
    open(null);
    expect(document.activeElement).toBe(find('.elsewhere'));
  });
});
