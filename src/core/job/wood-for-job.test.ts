import { describe, expect, it } from 'vitest';
import { boards, places, shop, sixSeats } from '../../../tests/fixtures/demo';
import { newJob } from '../start/new-job';
import { START_NAMES } from '../start/starts';
import { quickLayouts, woodForJob } from './wood-for-job';

const { brief } = sixSeats();
const jobIn = (start: (typeof START_NAMES)[number], seats: number) => (species: string) =>
  newJob({
    name: 'Table',
    client: '',
    brief: { ...brief, seats },
    species,
    shopPlaceId: 'shop',
    homePlaceId: 'heron-ferry',
    startOn: '2027-03-01',
    start,
  });
const workshop = { shop, places, boards };
const woods = [...new Set(boards.map(({ species }) => species))];

describe('the wood of a new job', () => {
  it.each(START_NAMES)('%s: the rack gives all of it', (start) => {
    const documentOf = jobIn(start, 6);
    const wood = woodForJob(documentOf, woods, workshop)!;
    for (const { shortfall } of quickLayouts(documentOf(wood), workshop)!) expect(shortfall).toEqual([]);
  });

  it('is the one with most boards where the rack gives it of none', () => {
    const few = boards.filter(({ species }) => species === 'cherry-black');
    const one = boards.find(({ species }) => species === 'oak-white')!;
    const wood = woodForJob(jobIn('dining', 12), woods, { ...workshop, boards: [...few, one] });
    expect(wood).toBe('cherry-black');
  });

  it('is none where there is no board', () => {
    expect(woodForJob(jobIn('dining', 6), woods, { ...workshop, boards: [] })).toBeNull();
  });
});
