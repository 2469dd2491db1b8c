import type { Content } from 'pdfmake/interfaces';
import {
  boardsUsed,
  type CutStep,
  cutSteps,
  type DerivedWood,
  formatLength,
  type LengthStyle,
  labelsBy,
  type Paper,
  PROPOSAL,
  sawStep,
  sayCut,
  sayFreed,
} from '@/core';
import { boardOnPaper, READABLE } from '@/core/format/board-on-paper';
import type { Board } from '@/core/stock/board';
import { words } from './blocks';
import { drawn } from './drawing';
import { type PaperDocument, pageRoom } from './print-document';

export interface BoardSheetsInput {
  name: string;
  woods: readonly DerivedWood[];
  boards: readonly Board[];
  style: LengthStyle;
  paper: Paper;
}

/** Columns of cuts under a board. */
const COLUMNS = 3;

/**
 * The boards for the saw, on paper lying across: each board a strip of its own, its pieces with their letters, where the
 * crosscuts lie from the tagged end, and its cuts in their order, in words.
 */
export function composeBoardSheets({ name, woods, boards, style, paper }: BoardSheetsInput): PaperDocument {
  return {
    title: `${name}, boards`,
    heading: `${name}  ·  at the saw`,
    paper,
    lying: true,
    content: woods.flatMap((wood) => woodAtTheSaw(wood, { boards, style, paper })),
  };
}

function woodAtTheSaw(
  { layout, letters, demand, layoutOptions: options }: DerivedWood,
  { boards, style, paper }: Pick<BoardSheetsInput, 'boards' | 'style' | 'paper'>,
): Content[] {
  if (!layout) return [];
  const used = boardsUsed(layout, boards);
  const say = (mm: number) => formatLength(mm, style);
  const scale = pageRoom(paper, true).width / Math.max(1, ...used.map((board) => board.length));
  const labelOf = labelsBy(letters);
  const steps = cutSteps(layout, boards, demand, { ...options, step: sawStep(style.system) });
  const proposal: Content[] =
    layout.shortfall.length > 0
      ? [{ ...words(`${PROPOSAL}.`, { bold: true, fontSize: 14 }), margin: [0, 0, 0, 6] }]
      : [];
  return [
    ...proposal,
    ...used.map((board): Content => {
      const facts = [
        `${say(board.length)} × ${say(board.width)} × ${board.quarters ? `${board.quarters}/4` : say(board.thickness)}`,
        board.lot,
        board.storedAt,
      ];
      return {
        unbreakable: true,
        margin: [0, 0, 0, 12],
        stack: [
          {
            text: [
              ...words(`${board.tag}   `, { bold: true, fontSize: 20 }).text,
              ...words(facts.filter(Boolean).join('   '), { fontSize: 12 }).text,
            ],
          },
          drawn(boardOnPaper(board, { layout, labelOf, scale, say, ruler: true })),
          cuts(
            steps.filter((step) => step.board === board.id),
            (step) => sayFreed(step, labelOf),
            style,
          ),
        ],
      };
    }),
  ];
}

function cuts(steps: readonly CutStep[], freedBy: (step: CutStep) => string, style: LengthStyle): Content {
  const rows = Math.max(1, Math.ceil(steps.length / COLUMNS));
  return {
    columnGap: 10,
    columns: Array.from({ length: COLUMNS }, (_, column) => ({
      width: '*',
      stack: steps.slice(column * rows, (column + 1) * rows).map((step): Content => {
        const freed = freedBy(step);
        return {
          columns: [
            { width: 18, ...words(`${step.number}`, { bold: true, fontSize: READABLE }) },
            { width: '*', ...words(`${sayCut(step, style)}${freed ? ` → ${freed}` : ''}`, { fontSize: READABLE }) },
          ],
        };
      }),
    })),
  };
}
