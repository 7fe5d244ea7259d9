import { inject, provideEnvironmentInitializer, type EnvironmentProviders } from '@angular/core';
import { MatIconRegistry } from '@angular/material/icon';
import { DomSanitizer } from '@angular/platform-browser';
import {
  mdiBookOpenVariantOutline,
  mdiChevronDown,
  mdiChevronUp,
  mdiCalendarOutline,
  mdiChartLine,
  mdiClipboardTextOutline,
  mdiClose,
  mdiCogOutline,
  mdiContentDuplicate,
  mdiDeleteOutline,
  mdiDotsVertical,
  mdiDragVertical,
  mdiFileExportOutline,
  mdiFileImportOutline,
  mdiFloorPlan,
  mdiFullscreen,
  mdiHomeExportOutline,
  mdiKarate,
  mdiKeyboardOutline,
  mdiLockOpenVariantOutline,
  mdiLockOutline,
  mdiMagnify,
  mdiMinus,
  mdiNotebookOutline,
  mdiPause,
  mdiPencilOutline,
  mdiPlay,
  mdiPlus,
  mdiPrinterOutline,
  mdiRedo,
  mdiReplay,
  mdiRulerSquare,
  mdiSkipNext,
  mdiSkipPrevious,
  mdiStop,
  mdiTelevision,
  mdiTimerOutline,
  mdiUndo,
  mdiVolumeHigh,
} from '@mdi/js';

/** Every icon of the product by the name that templates use; the pictures come from the package. */
const icons: Readonly<Record<string, string>> = {
  add: mdiPlus,
  back: mdiSkipPrevious,
  bench: mdiRulerSquare,
  bin: mdiDeleteOutline,
  close: mdiClose,
  combos: mdiBookOpenVariantOutline,
  copy: mdiContentDuplicate,
  edit: mdiPencilOutline,
  export: mdiFileExportOutline,
  figure: mdiKarate,
  find: mdiMagnify,
  fold: mdiChevronUp,
  full: mdiFullscreen,
  grip: mdiDragVertical,
  home: mdiHomeExportOutline,
  import: mdiFileImportOutline,
  keys: mdiKeyboardOutline,
  less: mdiMinus,
  lock: mdiLockOutline,
  log: mdiNotebookOutline,
  more: mdiDotsVertical,
  next: mdiSkipNext,
  pause: mdiPause,
  play: mdiPlay,
  print: mdiPrinterOutline,
  programme: mdiCalendarOutline,
  progress: mdiChartLine,
  redo: mdiRedo,
  repeat: mdiReplay,
  room: mdiFloorPlan,
  settings: mdiCogOutline,
  sheets: mdiClipboardTextOutline,
  sound: mdiVolumeHigh,
  stop: mdiStop,
  timer: mdiTimerOutline,
  undo: mdiUndo,
  unlock: mdiLockOpenVariantOutline,
  walls: mdiTelevision,
  unfold: mdiChevronDown,
};

/** Makes the icons known by name. `<mat-icon svgIcon="undo" />` */
export function provideIcons(): EnvironmentProviders {
  return provideEnvironmentInitializer(() => {
    const [registry, sanitizer] = [inject(MatIconRegistry), inject(DomSanitizer)];
    for (const [name, path] of Object.entries(icons))
      registry.addSvgIconLiteral(
        name,
        sanitizer.bypassSecurityTrustHtml(`<svg viewBox="0 0 24 24"><path d="${path}" /></svg>`),
      );
  });
}
