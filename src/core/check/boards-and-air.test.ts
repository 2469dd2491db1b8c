import { describe, expect, it } from 'vitest';
import { boards, demoJob, derive, places } from '../../../tests/fixtures/demo';
import { yearOfAir } from '../climate/place';
import { withChanges } from '../document/job-document';
import { planLayout } from '../layout/plan-layout';
import { dayOfYear, plusDays } from '../measure/calendar';

const document = demoJob('1-square-table');
const { gluedOn } = document.season;
const own = boards.filter((board) => board.species === document.species);
const check = (job: ReturnType<typeof derive>) => job.checks.find(({ id }) => id === 'season.board-moisture')!;
const glued = derive(document).season.glued.moisture;
const readAt = (moisture: number, tags = own.map(({ tag }) => tag), on = gluedOn) =>
  boards.map((board) =>
    tags.includes(board.tag)
      ? { ...board, moisture, moistureOn: on }
      : { ...board, moisture: glued, moistureOn: gluedOn },
  );

describe('boards and the moisture at gluing', () => {
  it('names only boards that the layout cuts from, once there is one', () => {
    const first = derive(document);
    const layout = planLayout(first.demand, first.boards, { ...first.layoutOptions, effort: 100 });
    const spare = own.find(({ id }) => !layout.boards.includes(id))!;
    const wet = readAt(16, [spare.tag]);
    expect(check(derive(document, { boards: wet })).where).toEqual([`board:${spare.tag}`]);
    expect(check(derive(document, { boards: wet, layout })).level).toBe('good');
  });

  it('leaves few out by a press, and many it glues as they are', () => {
    const few = derive(document, { boards: readAt(glued + 5, [own[0]!.tag, own[1]!.tag]) });
    const out = check(few).wayOut!;
    expect(out.changes).toEqual([{ path: 'layout.leaveOut', value: [own[0]!.tag, own[1]!.tag] }]);
    const all = readAt(Math.round(glued + 5));
    const many = check(derive(document, { boards: all }));
    expect(many.where).toHaveLength(own.length);
    expect(many.wayOut!.changes[0]!.path).toBe('season.moistureAtGluing');
    const cured = withChanges(document, many.wayOut!.changes) as typeof document;
    expect(check(derive(cured, { boards: all })).level).toBe('good');
  });

  it('or waits until they have come to the shop’s air, and says which day', () => {
    // Of 8/4 at the most: thicker ones take longer than anybody waits.
    const thin = own.filter(({ thickness }) => thickness < 60).map(({ tag }) => tag);
    const wet = readAt(glued + 6, thin);
    const first = check(derive(document, { boards: wet }));
    const wait = [first.wayOut!, ...first.otherWaysOut!].find(({ changes }) => changes[0]?.path === 'season.gluedOn')!;
    const later = wait.changes[0]!.value as string;
    expect(later > plusDays(gluedOn, 5)).toBe(true);
    const cured = withChanges(document, wait.changes) as typeof document;
    expect(check(derive(cured, { boards: wet })).level).toBe('good');
  });

  it('brings a reading forward by what the air has done since', () => {
    const before = plusDays(gluedOn, -200);
    const shop = places.find(({ id }) => id === document.season.shopPlaceId)!;
    const then = yearOfAir(shop).moisture[dayOfYear(before)]!;
    // A thin wet board read half a year before has long come to the air.
    const thin = readAt(then + 8, undefined, before).map((board) => ({ ...board, thickness: 15 }));
    expect(check(derive(document, { boards: thin })).level).toBe('good');
    const on = readAt(glued + 8).map((board) => ({ ...board, thickness: 15 }));
    expect(check(derive(document, { boards: on })).level).toBe('watch');
  });
});
