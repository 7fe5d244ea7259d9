import { Injectable } from '@angular/core';

/** A page of the guide, as the build has made it of its Markdown (scripts/guide.mjs). */
export interface GuidePage {
  readonly id: string;
  readonly title: string;
  /** Sound HTML: the guide's own, and nothing that somebody typed. */
  readonly html: string;
  /** Its words, to be searched. */
  readonly words: string;
}

/** The guide, which comes with the application and is fetched when somebody asks for it. */
@Injectable({ providedIn: 'root' })
export class GuideService {
  private asked: Promise<readonly GuidePage[]> | null = null;

  /** Its pages in their order. Refuses where they cannot be fetched; the next call asks again. */
  pages(): Promise<readonly GuidePage[]> {
    this.asked ??= fetch('guide/pages.json')
      .then(async (answer) => {
        if (!answer.ok) throw new Error(`the guide could not be fetched (${answer.status})`);
        return (await answer.json()) as readonly GuidePage[];
      })
      .catch((thrown: unknown) => {
        this.asked = null;
        throw thrown;
      });
    return this.asked;
  }
}
