import { seatsOnBench } from '../decision/room-for-people';
import type { Brief, JobDocument } from '../document/job-document';
import { type Day, plusDays } from '../measure/calendar';
import { FIRST_CHOICES } from './first-choices';
import { formForStart, isSatOn, STARTS, type Start, type StartSize } from './starts';

/** The wood that a job begins with. */
const FIRST_WOOD = 'w1';
/** The piece that a job begins with. */
const FIRST_PIECE = 'p1';

/** The first decisions of a job: a sound piece for the brief, every one open to change. */
export function newJob(given: {
  name: string;
  client: string;
  brief: Brief;
  species: string;
  shopPlaceId: string;
  homePlaceId: string;
  startOn: Day;
  /** A dining table, where nothing is said. */
  start?: Start;
  /** Of what has a size of its own, mm. */
  size?: StartSize | null;
  /** How many alike. */
  count?: number;
}): JobDocument {
  const { startOn, start = 'dining', size = null, count = 1 } = given;
  const piece = { ...formForStart(start, given.brief, size), count };
  // Who sits on what is built are those that it has room for.
  const long = piece.form.build === 'table' ? piece.form.top.length : 0;
  const seats = isSatOn(start) ? Math.min(40, count * seatsOnBench(long)) : given.brief.seats;
  const brief = { ...given.brief, seats };
  return {
    format: 'taller.job',
    version: 2,
    name: given.name,
    client: given.client,
    brief,
    woods: [{ id: FIRST_WOOD, name: 'Show wood', species: given.species }],
    pieces: [
      {
        ...piece,
        ...FIRST_CHOICES,
        id: FIRST_PIECE,
        name: STARTS[start].name,
        wood: FIRST_WOOD,
      },
    ],
    season: {
      shopPlaceId: given.shopPlaceId,
      homePlaceId: given.homePlaceId,
      gluedOn: plusDays(startOn, 9),
      deliveredOn: plusDays(startOn, 30),
      moistureAtGluing: null,
      school: 'coefficients',
      reckoning: 'equilibrium',
      ringSchool: 'alternate',
    },
    layout: {
      aim: 'save-wood',
      weights: { offcutWorth: 70, board: 12, cut: 1, joint: 4, lot: 2, ring: 1 },
      leaveOut: [],
      resaw: true,
      pinned: [],
      moved: [],
      laid: [],
    },
    plan: { startOn, hoursPerDay: 6 },
  };
}
