import type { Content, TableCell } from 'pdfmake/interfaces';
import {
  type DerivedPiece,
  jointFamilies,
  type LengthStyle,
  MM_PER_INCH,
  sayDay,
  upToStep,
  wordsOfJoint,
  writeNumber,
  writePhrase,
  writeQuantity,
} from '@/core';
import type { GlueUp } from '@/core/glueup/plan-glue-ups';
import { titleOfAlike } from '@/core/job/alike-pieces';
import type { JointWords } from '@/core/joint/joint-card';
import { type Margins, sayIn, titledTable, words } from './blocks';
import type { Alike, SheetGiven } from './sheet-given';

/** So many panels that are glued in one stage come in one table. */
const TOGETHER = 3;

/** The glue-ups of pieces: each has strips of its own, so that none stands for another. */
export const glueUpSections = (group: Alike, { style }: SheetGiven, several: boolean): Content[] =>
  group.flatMap((own) => {
    const plain = own.glueUps.filter(({ stages, limits }) => stages.length === 1 && limits.length === 0);
    const together = plain.length >= TOGETHER ? plain : [];
    const alone = own.glueUps.filter((glueUp) => !together.includes(glueUp));
    const prefix = several ? `${own.title}, ` : '';
    const sections = [
      ...alone.map((glueUp) => ({ title: `${prefix}${panelOf(own, glueUp)}`, glueUps: [glueUp] })),
      ...(together.length > 0
        ? [{ title: `${prefix}${together.length} panels in one stage each`, glueUps: together }]
        : []),
    ];
    return sections.map((section, i) => glueUpSection(own, section, { style, first: i === 0 }));
  });

const panelOf = ({ piece }: DerivedPiece, { panel }: GlueUp): string =>
  piece.parts.find(({ id }) => id === panel)?.name ?? '';

function glueUpSection(
  own: DerivedPiece,
  { title, glueUps }: { title: string; glueUps: readonly GlueUp[] },
  { style, first }: { style: LengthStyle; first: boolean },
): Content {
  const say = sayIn(style);
  const megapascals = (amount: number) => writeQuantity({ amount, unit: 'megapascal' }, style, 1);
  const clampStep = style.system === 'metric' ? 10 : MM_PER_INCH;
  return {
    stack: [
      titledTable(
        `Glue-up · ${title}`,
        first ? own.glue.name : '',
        [
          { title: 'Stage', width: 'auto' },
          { title: 'Pieces', width: '*' },
          { title: 'Width', width: 'auto', right: true },
          { title: 'Clamps', width: 'auto', right: true },
          { title: 'Pressure', width: 'auto', right: true },
          { title: 'Glue', width: 'auto', right: true },
          { title: 'Minutes', width: 'auto', right: true },
        ],
        glueUps.flatMap((glueUp) =>
          glueUp.stages.map(({ name, members, width, clamps, glue, minutes, closedBy }) => [
            glueUps.length > 1 ? panelOf(own, glueUp) : name,
            members.join(' + '),
            say(width),
            `${clamps.count} of ${say(upToStep(clamps.leastLength, clampStep))}`,
            `${megapascals(clamps.pressure)} of ${megapascals(clamps.asked)}`,
            writeQuantity({ amount: Math.ceil(glue), unit: 'gram' }, style),
            `${Math.ceil(minutes)} of ${closedBy}`,
          ]),
        ),
      ),
      ...glueUps
        .flatMap(({ limits }) => limits)
        .map((limit) => ({
          ...words(`Watch: ${writePhrase(limit.sentence, style)} ${writePhrase(limit.wayOut, style)}.`),
          margin: [0, 0, 0, 6] as Margins,
        })),
    ],
  };
}

export function jointsSection(group: Alike, { style }: SheetGiven, several: boolean): Content[] {
  const [own] = group;
  const families = jointFamilies(own.piece);
  if (families.length === 0) return [];
  const title = several ? `Joints · ${titleOfAlike(group)}` : 'Joints';
  const cards = new Map<JointWords, { names: string[]; count: number }>();
  for (const { joints, words: name } of families) {
    const [first] = joints;
    if (!first) continue;
    const card = wordsOfJoint(first);
    const known = cards.get(card) ?? { names: [], count: 0 };
    cards.set(card, { names: [...known.names, name], count: known.count + joints.length * group.length });
  }
  const line = (text: string) => ({ ...words(text), margin: [0, 1, 0, 0] as Margins });
  const rows = [...cards].map(([card, { names, count }]): TableCell[] => [
    {
      stack: [
        { ...words(card.name, { bold: true }) },
        line(`${count} ${count === 1 ? 'time' : 'times'}`),
        ...names.map((name) => line(name)),
      ],
    },
    {
      stack: [
        line(writePhrase(card.mark, style)),
        ...card.order.map((step, i) => line(`${i + 1}. ${writePhrase(step, style)}`)),
        line(writePhrase(card.caution, style)),
      ],
    },
  ]);
  return [
    titledTable(
      title,
      'Sizes are on the full-size sheets.',
      [
        { title: 'Joint', width: 130 },
        { title: 'Marked, cut, and with what care', width: '*' },
      ],
      rows,
    ),
  ];
}

export function orderOfWork({ derived, style }: SheetGiven): Content {
  return titledTable(
    'Order of work',
    'Hours at the bench, hours that must pass before what follows, the day it begins.',
    [
      { title: '', width: 'auto', right: true },
      { title: 'Operation', width: '*' },
      { title: 'Hours', width: 'auto', right: true },
      { title: 'Wait', width: 'auto', right: true },
      { title: 'From', width: 'auto', right: true },
      { title: 'Done', width: 'auto' },
    ],
    derived.schedule.dated.map(({ operation, start }, i) => [
      `${i + 1}`,
      operation.of ? `${operation.of}: ${operation.name}` : operation.name,
      writeNumber(operation.work, 1, style),
      operation.wait ? `${Math.round(operation.wait)}` : '',
      sayDay(start),
      '☐',
    ]),
  );
}
