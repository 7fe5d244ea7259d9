import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { BehaviorSubject } from 'rxjs';
import { scriptOf, lengthIn, readTempoText, type Script, type Sheet, type Voice } from '../../core/index';
import { testProviders, until } from '../spec-store.spec';
import { SettingsService } from './settings.service';
import { ScriptService } from './script.service';
import { VoiceService } from './voice.service';

const slow: Voice = { id: 'v', name: 'V', files: ['v.ogg'], clips: { one: [0, 2000], two: [2000, 2000] } };

describe('scripts from the worker', () => {
  const sheetOf = (text: string): Sheet => readTempoText(text).sheet;

  async function setUp(sheet: Sheet) {
    const voice = signal<Voice | null>(null);
    TestBed.configureTestingModule({
      providers: [...testProviders(), { provide: VoiceService, useValue: { voice } }],
    });
    const settings = TestBed.inject(SettingsService);
    await settings.loaded;
    settings.change({ countFrom: 3 });
    const sheets = new BehaviorSubject<Sheet | null>(sheet);
    const scripts: Script[] = [];
    const listening = TestBed.inject(ScriptService)
      .of(sheets)
      .subscribe((script) => scripts.push(script));
    const settled = async (wanted: Script): Promise<void> => {
      await until(() => {
        TestBed.tick();
        return JSON.stringify(scripts.at(-1)) === JSON.stringify(wanted);
      });
    };
    return { voice, settings, sheets, scripts, listening, settled };
  }

  it('are those of the core, again with every change of the sheet, the talk and the count', async () => {
    const sheet = sheetOf('round 2:00: 1 2 3');
    const { settings, sheets, settled, listening } = await setUp(sheet);
    await settled(scriptOf(sheet, { countFrom: 3 }));
    const other = sheetOf('round 1:00: 2 3');
    sheets.next(other);
    await settled(scriptOf(other, { countFrom: 3 }));
    settings.change({ talk: 'bells' });
    await settled(scriptOf(other, { countFrom: 3, talk: 'bells' }));
    settings.change({ countFrom: 5 });
    await settled(scriptOf(other, { countFrom: 5, talk: 'bells' }));
    listening.unsubscribe();
    expect(scriptOf(other, { countFrom: 5, talk: 'bells' }).calls.length).toBeGreaterThan(5);
  });

  it('are made on the page where the worker fails, and by a fresh worker the next time', async () => {
    const sheet = sheetOf('round 1:00: 1 2');
    const sent = spyOn(Worker.prototype, 'postMessage').and.callFake(function fail(this: Worker) {
      this.dispatchEvent(new ErrorEvent('error', { message: 'no worker here' }));
    });
    const { sheets, settled, listening } = await setUp(sheet);
    await settled(scriptOf(sheet, { countFrom: 3 }));
    expect(sent).toHaveBeenCalled();
    sent.and.callThrough();
    const other = sheetOf('round 2:00: 2 3');
    sheets.next(other);
    await settled(scriptOf(other, { countFrom: 3 }));
    listening.unsubscribe();
  });

  it('go by the lengths of the chosen voice, and by the speaking rate again without one', async () => {
    const sheet = sheetOf('round 1:00: 1 2');
    const { voice, scripts, settled, listening } = await setUp(sheet);
    await settled(scriptOf(sheet, { countFrom: 3 }));
    voice.set(slow);
    await settled(scriptOf(sheet, { countFrom: 3, lengthOf: lengthIn(slow) }));
    expect(scripts.at(-1)?.calls.find(({ kind }) => kind === 'new')?.ms).toBeGreaterThan(4000);
    voice.set(null);
    await settled(scriptOf(sheet, { countFrom: 3 }));
    listening.unsubscribe();
  });
});
