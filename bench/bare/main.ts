import { Component, provideZonelessChangeDetection } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { bootstrapApplication } from '@angular/platform-browser';
import { provideRouter, RouterOutlet } from '@angular/router';

/** The least that an application of Angular with Material is: a router and one button. The bench measures ours against it. */
@Component({
  selector: 'bare-root',
  imports: [MatButton, RouterOutlet],
  template: '<button matButton>{{ name }}</button><router-outlet />',
})
class Bare {
  protected readonly name = 'Bare';
}

bootstrapApplication(Bare, { providers: [provideZonelessChangeDetection(), provideRouter([])] }).catch(
  (thrown: unknown) => {
    console.error(thrown);
  },
);
