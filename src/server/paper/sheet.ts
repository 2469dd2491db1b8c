import { alikePieces } from '@/core/job/alike-pieces';
import { words } from './blocks';
import { boardsSection } from './boards-section';
import { cutListSection, hardwareSection } from './cut-list-section';
import { pieceFace } from './piece-face';
import type { PaperDocument } from './print-document';
import type { SheetGiven } from './sheet-given';
import { glueUpSections, jointsSection, orderOfWork } from './work-sections';

/** The job on paper, black and white: each piece taken apart and measured, cut list, hardware, boards, gluing, joints, order of work. */
export function composeSheet(given: SheetGiven): PaperDocument {
  const { document, derived } = given;
  const groups = alikePieces(derived.pieces);
  const several = derived.pieces.length > 1;
  return {
    title: document.name,
    heading: [document.name, document.client].filter(Boolean).join('  ·  '),
    paper: given.paper,
    content: [
      { ...words(document.name, { bold: true, fontSize: 22 }), margin: [0, 0, 0, 6] },
      ...groups.map((group, i) => pieceFace(group, given, { titled: several, first: i === 0 })),
      ...groups.map((group) => cutListSection(group, given, several)),
      hardwareSection(given),
      ...derived.woods.flatMap((wood) => boardsSection(wood, given)),
      ...groups.flatMap((group) => glueUpSections(group, given, several)),
      ...groups.flatMap((group) => jointsSection(group, given, several)),
      orderOfWork(given),
      {
        ...words(
          'Take care: guards and push sticks, the maker’s own instructions and local codes come first. Strength and stability figures are design figures, not a certification.',
        ),
        fontSize: 8,
      },
    ],
  };
}
