import type { PieceDecisions } from '../document/job-document';

/** What every piece begins with beside its form. */
export const FIRST_CHOICES: Pick<
  PieceDecisions,
  'woodOf' | 'season' | 'joints' | 'layout' | 'glueUp' | 'plan' | 'benches' | 'spots'
> = {
  woodOf: {},
  season: { ringAngle: 15, coated: 'both', measured: [] },
  joints: {
    corner: 'mortise-tenon',
    tenonSchool: 'third',
    meeting: 'auto',
    tenonLength: null,
    tenonThickness: null,
    haunch: 'square',
    angled: 'in-line',
    pegs: 'none',
  },
  layout: {
    leastStrip: 60,
    greatestStrip: 160,
    mostStrips: null,
    oneLot: false,
    equalStrips: null,
    pairs: 'none',
    oneBoard: [],
    asDressed: [],
    jointMargin: 12,
  },
  glueUp: { glue: 'pva-slow', staging: 'planer-width', level: 'none' },
  plan: { finish: 'oil-wax', painted: [] },
  benches: {},
  spots: {},
};
