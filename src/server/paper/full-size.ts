import type { Content } from 'pdfmake/interfaces';
import type { FullSizeDrawing, Paper, PaperDrawing } from '@/core';
import { fullSizeSheets } from '@/core/format/full-size-sheets';
import { titledTable, words } from './blocks';
import { drawn } from './drawing';
import type { PaperDocument } from './print-document';

/** mm a side. */
const SQUARE = 100;

/** On the first sheet: what a printer makes of 100 mm. */
const TEST_SQUARE: PaperDrawing = {
  width: SQUARE + 1,
  height: SQUARE + 1,
  marks: [
    {
      kind: 'line',
      points: [
        [0.5, 0.5],
        [SQUARE + 0.5, 0.5],
        [SQUARE + 0.5, SQUARE + 0.5],
        [0.5, SQUARE + 0.5],
      ],
      close: true,
      weight: 0.2,
    },
    { kind: 'text', x: SQUARE / 2, y: SQUARE / 2, text: '100 × 100 mm', size: 10, align: 'centre' },
  ],
};

/** Story sticks, templates and joints at full size: a square to measure, what there is and what it is for, and the sheets. */
export function composeFullSize(drawings: readonly FullSizeDrawing[], paper: Paper, job: string): PaperDocument {
  const sheets = fullSizeSheets(drawings, paper, job);
  return {
    title: `${job}, full size`,
    heading: `${job}  ·  full size`,
    paper,
    content: [
      { ...words('Full size', { bold: true, fontSize: 22 }), margin: [0, 0, 0, 4] },
      {
        ...words(
          'Print at 100 %, nothing fitted to the page. Measure the square before anything is cut: it is 100 mm a side. Where a drawing takes several sheets, lay them on one another by their crosses; sheets on which nothing would be drawn are left out.',
        ),
        margin: [0, 0, 0, 8],
      },
      { ...(drawn(TEST_SQUARE) as object), margin: [0, 0, 0, 12] } as Content,
      titledTable(
        'What there is',
        '',
        [
          { title: 'Drawing', width: 190, face: 'plain' },
          { title: 'What it is for', width: '*', face: 'plain' },
        ],
        drawings.map(({ title, note }) => [title, note]),
      ),
    ],
    sheets,
  };
}
