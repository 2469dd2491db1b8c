import type { Content } from 'pdfmake/interfaces';
import {
  type Check,
  leadingInWords,
  panelOfTop,
  sayDay,
  writeLength,
  writeNumber,
  writePhrase,
  writeQuantity,
} from '@/core';
import { apartOnPaper, viewsOnPaper } from '@/core/format/piece-on-paper';
import { titleOfAlike } from '@/core/job/alike-pieces';
import { type Margins, sayIn, titleLine, words } from './blocks';
import { drawn } from './drawing';
import { pageRoom } from './print-document';
import type { Alike, SheetGiven } from './sheet-given';

/** A piece at first sight: taken apart, what is to be known of it, its views with their dimensions. */
export function pieceFace(group: Alike, input: SheetGiven, given: { titled: boolean; first: boolean }): Content {
  const [own] = group;
  const say = sayIn(input.style);
  const room = pageRoom(input.paper);
  const apart = apartOnPaper(own.piece, { width: room.width * 0.56, height: room.height * 0.4 });
  // Joint lines are drawn where they are those of every one of them.
  const strips = group.length > 1 ? [] : (panelOfTop(own)?.laid.map((strip) => strip.width) ?? []);
  const views = viewsOnPaper(own.piece, strips, { width: room.width, height: room.height * 0.42 }, say);
  return {
    unbreakable: true,
    margin: [0, 0, 0, 10],
    stack: [
      ...(given.titled ? [titleLine(titleOfAlike(group))] : []),
      { columns: [drawn(apart), facts(group, input, given.first)], columnGap: 14 },
      { ...(drawn(views) as object), margin: [0, 10, 0, 0] } as Content,
    ],
  };
}

const stopsOf = (checks: readonly Check[]) => checks.filter((check) => check.level === 'stop');

function facts(group: Alike, { derived, document, style }: SheetGiven, first: boolean): Content {
  const [own] = group;
  const say = sayIn(style);
  const { piece, season, species, glue } = own;
  // Each has strips of its own: the narrowest and the widest of all of them.
  const widths = group.map(({ season: { leadingWidth } }) => leadingWidth);
  const driest = Math.min(...widths.map((width) => width.driest));
  const wettest = Math.max(...widths.map((width) => width.wettest));
  const wide = (mm: number) => writeLength(mm, style, true);
  const weight = own.figures.find(({ id }) => id === 'weight');
  const shared = [...derived.woods.flatMap(({ checks }) => checks), ...derived.checks];
  const stops = [...group.flatMap(({ checks }) => stopsOf(checks)), ...(first ? stopsOf(shared) : [])];
  const sentences = [...new Set(stops.map(({ sentence }) => writePhrase(sentence, style)))];
  const { part, across } = leadingInWords(piece);
  const told = piece.build === 'table' ? 'top' : part;
  const percent = (moisture: number) => `${writeNumber(moisture, 1, style)} %`;
  const rows: [string, string][] = [
    ['Size', `${say(piece.overall.length)} × ${say(piece.overall.width)} × ${say(piece.overall.height)}`],
    ['Wood', species.commonName],
    ...(group.length > 1 ? ([['Made', `${group.length} alike`]] as [string, string][]) : []),
    ...(first && piece.build === 'table' && own.document.brief.seats
      ? ([['Seats', `${own.document.brief.seats}`]] as [string, string][])
      : []),
    ...(weight ? ([['Weight', writeQuantity(weight.quantity, style)]] as [string, string][]) : []),
    ['Glue', glue.name],
    ['Driest', `${told} ${wide(driest)} ${across} at ${percent(season.driest.moisture)}`],
    ['Wettest', `${told} ${wide(wettest)} ${across} at ${percent(season.wettest.moisture)}`],
    ...(first ? ([['Glued', sayDay(document.season.gluedOn)]] as [string, string][]) : []),
    ...(first ? ([['Delivered', sayDay(document.season.deliveredOn)]] as [string, string][]) : []),
  ];
  return {
    stack: [
      {
        table: {
          widths: ['auto', '*'],
          body: rows.map(([name, value]) => [
            { ...words(name), color: '#444444' },
            { ...words(value, { bold: true }) },
          ]),
        },
        layout: {
          hLineWidth: () => 0.25,
          vLineWidth: () => 0,
          paddingLeft: () => 0,
          paddingTop: () => 2.5,
          paddingBottom: () => 2,
        },
      },
      {
        margin: [0, 8, 0, 0],
        stack:
          sentences.length > 0
            ? sentences.map((text) => ({
                ...words(`Stop: ${text}`),
                margin: [0, 0, 0, 3] as Margins,
              }))
            : [{ ...words('No check says stop.') }],
      },
      {
        ...words('Widths as if the wood followed the air at once.'),
        fontSize: 8,
        margin: [0, 6, 0, 0],
      },
    ],
  };
}
