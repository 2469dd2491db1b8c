import type { Place } from '../climate/place';
import type { Shop } from '../decision/shop';
import type { JobDocument } from '../document/job-document';
import type { Layout } from '../layout/layout';
import type { Board } from '../stock/board';

/** Everything stored that a job is computed from. */
export interface JobInputs {
  document: JobDocument;
  shop: Shop;
  places: readonly Place[];
  /** The whole rack; the job takes the boards of its species that are not left out. Null: not known, nothing is said of it. */
  boards: readonly Board[] | null;
  /** Layouts found before, one a species at the most; each used as long as its key still fits, or some of its parts are cut. */
  layouts: readonly Layout[];
}
