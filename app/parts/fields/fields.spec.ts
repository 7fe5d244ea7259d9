import { Component, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import * as z from 'zod/mini';
import { choose, chosen, fieldOf, type, wrongAt } from '../../hands.spec';
import { testProviders } from '../../spec-store.spec';
import { boundsOf, bySchema, type Mend } from './by-schema';
import { ChoiceField, orNothing } from './choice-field';
import { NumberField } from './number-field';
import { TextField } from './text-field';
import { FormControl } from '@angular/forms';

const mendOf = (schema: z.core.$ZodType, value: unknown, per?: number): string | undefined =>
  (bySchema(schema, (typed) => typed ?? undefined, per)(new FormControl(value)) as Mend | null)?.mend;

describe('a schema as a validator', () => {
  it('says the limits of the schema, in the unit of the field', () => {
    const times = z.optional(z.int().check(z.gte(1), z.lte(99)));
    expect(boundsOf(times)).toEqual({ least: 1, most: 99 });
    expect(mendOf(times, 99)).toBeUndefined();
    expect(mendOf(times, undefined)).toBeUndefined();
    expect(mendOf(times, 100)).toBe('Enter 1 to 99');
    expect(mendOf(times, 2.5)).toBe('Enter a whole number');
    expect(mendOf(z.int().check(z.gte(0), z.lte(60_000)), 61_000, 1000)).toBe('Enter 0 to 60');
    expect(mendOf(z.number().check(z.gte(0.3)), 0)).toBe('Enter 0.3 or more');
  });

  it('counts characters', () => {
    expect(mendOf(z.string().check(z.maxLength(400)), 'x'.repeat(401))).toBe('Use up to 400 characters');
    expect(mendOf(z.string().check(z.minLength(1)), '')).toBe('This can’t be empty');
  });
});

@Component({
  selector: 'kt-fields-host',
  imports: [ChoiceField, NumberField, TextField],
  template: `
    <kt-text-field label="Words" [value]="words()" [schema]="short" (put)="words.set($event.trim())" />
    <kt-number-field label="Breath" [value]="ms()" [schema]="breath" [per]="1000" (put)="ms.set($event)" />
    <kt-choice-field label="Focus" [value]="focus()" [choices]="focuses" (put)="focus.set($event)" />
  `,
})
class FieldsHost {
  readonly short = z.string().check(z.maxLength(5));
  readonly breath = z.optional(z.int().check(z.gte(0), z.lte(60_000)));
  readonly focuses = orNothing('none', ['speed', 'power']);
  readonly words = signal('one');
  readonly ms = signal<number | null>(3000);
  readonly focus = signal<'speed' | 'power' | undefined>(undefined);
}

describe('fields of one value', () => {
  async function setUp() {
    TestBed.configureTestingModule({ providers: testProviders() });
    const fixture = TestBed.createComponent(FieldsHost);
    await fixture.whenStable();
    return { host: fixture.nativeElement as HTMLElement, at: fixture.componentInstance, fixture };
  }

  it('hand on what is good, as it is kept', async () => {
    const { host, at } = await setUp();
    expect(fieldOf(host, 'Words').value).toBe('one');
    expect(fieldOf(host, 'Breath').value).toBe('3');
    type(host, 'Words', ' two ');
    type(host, 'Breath', '1.5');
    expect([at.words(), at.ms()]).toEqual(['two', 1500]);
    expect(fieldOf(host, 'Words').value).toBe('two');
  });

  it('keep what is wrong in view with its mend, whatever comes from elsewhere', async () => {
    const { host, at, fixture } = await setUp();
    type(host, 'Words', 'far too long');
    type(host, 'Breath', '61');
    expect([at.words(), at.ms()]).toEqual(['one', 3000]);
    expect(wrongAt(host, 'Words')).toBe('Use up to 5 characters');
    expect(wrongAt(host, 'Breath')).toBe('Enter 0 to 60');
    at.words.set('new');
    await fixture.whenStable();
    expect(fieldOf(host, 'Words').value).toBe('far too long');
  });

  it('follow what comes from elsewhere while nobody types', async () => {
    const { host, at, fixture } = await setUp();
    at.words.set('new');
    at.ms.set(null);
    await fixture.whenStable();
    expect([fieldOf(host, 'Words').value, fieldOf(host, 'Breath').value]).toEqual(['new', '']);
  });

  it('take one of several, or none of them', async () => {
    const { host, at } = await setUp();
    expect(chosen(host, 'Focus')).toBe('none');
    await choose(host, 'Focus', 'power');
    expect(at.focus()).toBe('power');
    await choose(host, 'Focus', 'none');
    expect(at.focus()).toBeUndefined();
  });
});
