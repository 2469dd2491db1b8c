import type { Layout } from '../layout/layout';
import type { DerivedJob } from './derive-job';

/** Of all species of a job, what is on its boards; null where no layout is known of any of them. */
export interface WholeLayout {
  layout: Pick<Layout, 'placements' | 'offcuts' | 'boards' | 'shortfall'>;
  /** Letters of the parts, by their names in the job. */
  letters: Readonly<Record<string, string>>;
}

/** The layouts of a job as one, for what is drawn board by board: no two species come from one board. */
export function wholeLayout({ woods }: Pick<DerivedJob, 'woods'>): WholeLayout | null {
  const layouts = woods.flatMap(({ layout }) => layout ?? []);
  if (layouts.length === 0) return null;
  return {
    layout: {
      placements: layouts.flatMap(({ placements }) => placements),
      offcuts: layouts.flatMap(({ offcuts }) => offcuts),
      boards: layouts.flatMap(({ boards }) => boards),
      shortfall: layouts.flatMap(({ shortfall }) => shortfall),
    },
    letters: Object.assign({}, ...woods.map(({ letters }) => letters)),
  };
}
