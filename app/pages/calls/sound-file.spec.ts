import { TestBed } from '@angular/core/testing';
import { Subject } from 'rxjs';
import { readTempoText } from '../../../core/index';
import { AudioFileService } from '../../services/audio-file.service';
import { FilesService } from '../../services/files.service';
import { testProviders } from '../../spec-store.spec';
import type { AudioAnswer } from '../../workers/protocol';
import { SoundFile } from './sound-file';

describe('the sound file that is being made', () => {
  const sheet = { ...readTempoText('round 1:00: 1 2').sheet, title: 'Tower' };

  function setUp() {
    const answers = new Subject<AudioAnswer>();
    const saved: { name: string; type: string }[] = [];
    TestBed.configureTestingModule({
      providers: [
        ...testProviders(),
        SoundFile,
        { provide: AudioFileService, useValue: { render: () => answers } },
        {
          provide: FilesService,
          useValue: {
            fileName: (title: string, ending: string) => `${title}.${ending}`,
            save: (name: string, _: Blob, type: string) => saved.push({ name, type }),
          },
        },
      ],
    });
    return { file: TestBed.inject(SoundFile), answers, saved };
  }

  it('shows how far it is, and is saved under the sheet’s name', () => {
    const { file, answers, saved } = setUp();
    expect(file.share()).toBeNull();
    file.make(sheet, 'wav');
    expect(file.share()).toBe(0);
    answers.next({ kind: 'progress', share: 0.4 });
    expect([file.share(), saved.length]).toEqual([0.4, 0]);
    answers.next({ kind: 'done', file: new Blob([], { type: 'audio/wav' }) });
    expect(file.share()).toBeNull();
    expect(saved).toEqual([{ name: 'Tower.wav', type: 'audio/wav' }]);
  });

  it('says what went wrong, until it is tried again', () => {
    const { file, answers, saved } = setUp();
    file.make(sheet, 'mp3');
    answers.next({ kind: 'failed', what: 'no memory' });
    expect(file.failed()).toBe('The sound file could not be made: no memory. Try the other format.');
    expect([file.share(), saved]).toEqual([null, []]);
    file.make(sheet, 'wav');
    expect(file.failed()).toBe('');
  });

  it('is let go when it is cancelled, begun anew or nobody looks any more', () => {
    const { file, answers, saved } = setUp();
    file.make(sheet, 'wav');
    file.cancel();
    expect([answers.observed, file.share()]).toEqual([false, null]);
    file.make(sheet, 'wav');
    file.make(sheet, 'mp3');
    answers.next({ kind: 'done', file: new Blob([], { type: 'audio/mpeg' }) });
    expect(saved.map(({ name }) => name)).toEqual(['Tower.mp3']);
    file.make(sheet, 'wav');
    file.ngOnDestroy();
    expect(answers.observed).toBeFalse();
  });
});
