// Behaviour for every page. Each module finds its own elements and does nothing where there are none.
import { shortcuts } from './shortcuts.js';
import { clock } from './clock.js';
import { keep, letGo, restoreKept } from './keep.js';
import { swap } from './swap.js';
import { parts } from './parts.js';
import { fileSizes } from './files.js';
import { bands } from './bands.js';
import { pads } from './pad.js';
import { counting } from './count.js';
import { stall } from './stall.js';
import { zoom } from './zoom.js';
import { narrow } from './narrow.js';
import { booking, fit } from './booking.js';

/** What must be set up anew when the page's content was exchanged. */
function dress() {
  restoreKept();
  fit();
  zoom();
  counting();
  stall();
}

shortcuts();
clock();
keep();
letGo();
parts();
fileSizes();
bands();
pads();
narrow();
booking();
swap(dress);
dress();
