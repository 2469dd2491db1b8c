import type { GlueKind } from '../document/job-document';

export interface Glue {
  name: string;
  /** Minutes from the first bead until the last joint must be closed, at about 20 °C. */
  closedBy: number;
  /** Minutes in the clamps. */
  clampFor: number;
  /** Hours until the moisture of the glue has left and the joint may be levelled. */
  levelAfter: number;
  /** g/m² of joint, single spread. */
  spread: number;
  /** Clamping pressure wanted, MPa, for hardwood and softwood. */
  pressure: { hardwood: number; softwood: number };
  caution: string;
}

/** Typical figures from adhesive makers' general guidance, from memory; the maker's own instructions come first. */
export const GLUES: Record<GlueKind, Glue> = {
  pva: {
    name: 'White or yellow glue',
    closedBy: 10,
    clampFor: 45,
    levelAfter: 24,
    spread: 180,
    pressure: { hardwood: 1.2, softwood: 0.8 },
    caution: 'Not below some 10 °C (50 °F): it turns chalky and does not hold.',
  },
  'pva-slow': {
    name: 'Slow white glue',
    closedBy: 20,
    clampFor: 90,
    levelAfter: 24,
    spread: 180,
    pressure: { hardwood: 1.2, softwood: 0.8 },
    caution: 'Not below some 10 °C (50 °F): it turns chalky and does not hold.',
  },
  hide: {
    name: 'Liquid hide glue',
    closedBy: 30,
    clampFor: 720,
    levelAfter: 24,
    spread: 200,
    pressure: { hardwood: 1.0, softwood: 0.7 },
    caution: 'Softens in damp and heat: not for outdoors.',
  },
  epoxy: {
    name: 'Slow epoxy',
    closedBy: 40,
    clampFor: 720,
    levelAfter: 24,
    spread: 250,
    pressure: { hardwood: 0.1, softwood: 0.1 },
    caution:
      'Gloves and fresh air: hardener and vapour sensitise the skin and lungs. Only enough pressure to close the joint.',
  },
};
