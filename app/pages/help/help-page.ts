import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  resource,
  signal,
  ElementRef,
  viewChild,
  ViewEncapsulation,
} from '@angular/core';
import { takeUntilDestroyed, toSignal } from '@angular/core/rxjs-interop';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatListModule } from '@angular/material/list';
import { DomSanitizer } from '@angular/platform-browser';
import { ActivatedRoute, Router, RouterLink } from '@angular/router';
import { fromEvent } from 'rxjs';
import { fieldLook } from '../../parts/fields/field-look';
import { GuideService } from '../../services/guide.service';
import { finds } from '../../services/older-words';

/** The guide: a list of its pages, to be searched, and the page that is open. */
@Component({
  selector: 'kt-help-page',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, MatListModule, RouterLink],
  providers: [fieldLook],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page guide">
      <section class="stack" aria-label="Guide">
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Search the guide</mat-label>
          <input #field matInput type="search" autocomplete="off" (input)="typed.set(field.value)" />
        </mat-form-field>
        <mat-nav-list>
          @for (each of found(); track each.id) {
            <a
              mat-list-item
              [routerLink]="['/help', each.id]"
              [activated]="each.id === open()?.id"
              [attr.aria-current]="each.id === open()?.id ? 'page' : null"
              >{{ each.title }}</a
            >
          } @empty {
            @if (pages.hasValue()) {
              <p class="soft">No page has these words.</p>
            }
          }
        </mat-nav-list>
      </section>
      @if (pages.error()) {
        <div role="alert">
          <h1>Help</h1>
          <p>The guide could not be loaded. Check that the server is running, then try again.</p>
          <p><button type="button" matButton="outlined" (click)="pages.reload()">Try again</button></p>
        </div>
      } @else if (open()) {
        <article #article class="written" [innerHTML]="html()"></article>
      } @else if (pages.hasValue()) {
        <div>
          <h1>Help page not found</h1>
          <p>Choose another one from the list.</p>
        </div>
      } @else {
        <p role="status">Loading…</p>
      }
    </div>
  `,
  // The guide's Markdown has no attributes of this component.
  encapsulation: ViewEncapsulation.None,
  styleUrl: './help-page.scss',
})
export class HelpPage {
  private readonly guide = inject(GuideService);
  private readonly router = inject(Router);
  private readonly sanitizer = inject(DomSanitizer);
  private readonly fragment = toSignal(inject(ActivatedRoute).fragment);
  /** From the address: which page is open; the first one where none is named. */
  readonly page = input<string>();
  private readonly article = viewChild<ElementRef<HTMLElement>>('article');

  protected readonly pages = resource({ loader: () => this.guide.pages() });
  protected readonly typed = signal('');
  private readonly all = computed(() => (this.pages.hasValue() ? this.pages.value() : []));
  protected readonly found = computed(() => this.all().filter(({ words }) => finds(words, this.typed())));
  protected readonly open = computed(() => {
    const id = this.page();
    return id === undefined ? this.all()[0] : this.all().find((each) => each.id === id);
  });
  /** Made by the build of our own Markdown; nothing in it was typed by anybody who uses the product. */
  protected readonly html = computed(() => this.sanitizer.bypassSecurityTrustHtml(this.open()?.html ?? ''));

  constructor() {
    // A link of the guide is the browser's own, so its click is heard where all of them come.
    fromEvent<MouseEvent>(inject<ElementRef<HTMLElement>>(ElementRef).nativeElement, 'click')
      .pipe(takeUntilDestroyed())
      .subscribe((event) => this.follow(event));
    afterRenderEffect(() => {
      const [fragment, article] = [this.fragment(), this.article()?.nativeElement];
      if (this.open() && fragment) article?.querySelector(`#${CSS.escape(fragment)}`)?.scrollIntoView();
    });
  }

  /** A link of the guide opens its page without loading the application again. */
  private follow(event: MouseEvent): void {
    const link = event.target instanceof Element ? event.target.closest('article a') : null;
    const address = link?.getAttribute('href');
    if (!address?.startsWith('/') || event.ctrlKey || event.metaKey || event.shiftKey || event.button !== 0) return;
    event.preventDefault();
    void this.router.navigateByUrl(address);
  }
}
