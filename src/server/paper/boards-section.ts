import type { Content } from 'pdfmake/interfaces';
import { boardsUsed, type DerivedWood, labelsBy, PROPOSAL, shoppingList, writeQuantity } from '@/core';
import { boardOnPaper } from '@/core/format/board-on-paper';
import { sayIn, titledTable, titleLine, words } from './blocks';
import { drawn } from './drawing';
import { pageRoom } from './print-document';
import type { SheetGiven } from './sheet-given';

export function boardsSection({ layout, letters, species }: DerivedWood, input: SheetGiven): Content[] {
  if (!layout) return [];
  const say = sayIn(input.style);
  const used = boardsUsed(layout, input.boards);
  const title = input.derived.woods.length > 1 ? `Boards · ${species.commonName}` : 'Boards';
  const scale = pageRoom(input.paper).width / Math.max(1, ...used.map((board) => board.length));
  const labelOf = labelsBy(letters);
  const strips = used.map(
    (board, i): Content => ({
      unbreakable: true,
      margin: [0, 0, 0, 6],
      stack: [
        ...(i === 0 ? [titleLine(title)] : []),
        {
          ...words(
            [
              board.tag,
              `${say(board.length)} × ${say(board.width)} × ${say(board.thickness)}`,
              board.lot ? `lot ${board.lot}` : '',
              board.storedAt ?? '',
            ]
              .filter(Boolean)
              .join('   '),
            { bold: true },
          ),
          margin: [0, 0, 0, 2],
        },
        drawn(boardOnPaper(board, { layout, labelOf, scale, say, ruler: false })),
      ],
    }),
  );
  if (layout.shortfall.length === 0) return strips;
  return [
    ...strips,
    titledTable(
      `To buy · ${species.commonName}`,
      `${PROPOSAL}.`,
      [
        { title: 'No.', width: 'auto', right: true },
        { title: 'Long and wide', width: 'auto', right: true },
        { title: 'Rough', width: 'auto' },
        { title: 'Rough wood', width: 'auto', right: true },
        { title: 'For', width: '*' },
      ],
      shoppingList(layout.shortfall).map((line) => [
        `${line.count}`,
        `${say(line.length)} × ${say(line.width)}`,
        line.dressed
          ? `dressed ${say(line.thickness)}`
          : line.quarters
            ? `${line.quarters}/4`
            : `over ${say(line.thickness)}`,
        writeQuantity({ amount: line.boardFeet, unit: 'board-foot' }, input.style),
        line.names.join(', '),
      ]),
    ),
  ];
}
