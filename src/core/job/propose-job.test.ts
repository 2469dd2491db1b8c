import { describe, expect, it } from 'vitest';
import { thickBoards } from '../../../tests/fixtures/constructions';
import { derive, onlyPiece, places, shop } from '../../../tests/fixtures/demo';
import { BEHIND_CHAIR } from '../decision/room-for-people';
import { topForBrief } from '../start/table-for-brief';
import { proposeJob } from './propose-job';

const workshop = { shop, places, boards: thickBoards };
const brief = {
  seats: 6,
  seating: 'chairs' as 'chairs' | 'benches',
  room: { length: 9000, width: 6000 },
  behindChairs: 'wall' as 'wall' | 'passing',
  kneeRoom: null,
  door: { width: 830, height: 2000 },
  dueOn: '2027-06-01',
  note: '',
};
const propose = (more: Partial<typeof brief>, homePlaceId = 'heron-ferry') =>
  onlyPiece(
    proposeJob(
      {
        name: 'x',
        client: '',
        species: 'oak-white',
        shopPlaceId: 'shop',
        homePlaceId,
        startOn: '2027-03-08',
        brief: { ...brief, ...more },
      },
      workshop,
    ),
  );

describe('what is proposed for a brief passes its own checks', () => {
  const briefs = (['chairs', 'benches'] as const).flatMap((seating) =>
    [1, 2, 4, 5, 6, 8, 10, 13, 16].map((seats) => ({ seating, seats })),
  );
  it.each(briefs)(
    '$seats on $seating, in a room that is large enough',
    ({ seating, seats }) => {
      for (const home of ['heron-ferry', 'town-flat']) {
        const job = derive(propose({ seating, seats }, home), { boards: thickBoards });
        const short = job.checks.filter(
          ({ id, level }) => level === 'stop' || (level === 'watch' && id.startsWith('people.')),
        );
        expect(short.map(({ id }) => id)).toEqual([]);
      }
    },
    30_000,
  );

  it('a room that the seats do not leave room in is told, and the seats stay', () => {
    const { form } = propose({ seats: 8, room: { length: 3200, width: 2600 }, behindChairs: 'passing' });
    expect(form.top.length).toBeGreaterThan(3200 - 2 * BEHIND_CHAIR.passing);
  });

  it('what is asked for behind chairs is what is left there, to the last tenth of a millimetre', () => {
    for (const behindChairs of ['wall', 'passing'] as const) {
      for (const length of [3000, 3600, 4217, 5000]) {
        const top = topForBrief({ ...brief, seats: 4, behindChairs, room: { length, width: 4000 } });
        const left = (Math.min(length, 4000) - top.width) / 2;
        if (top.width > 620) expect(left).toBeGreaterThanOrEqual(BEHIND_CHAIR[behindChairs]);
      }
    }
  });
});
