import type { Joints } from '../../../../decision/joints';
import type { CornerPlate } from '../../../../joint/corner-plate';
import type { CornerScrews } from '../../../../joint/corner-screws';
import { CORNERS, type InsertedCorner, isInserted } from '../../../../joint/leg-corner';
import type { Figure } from '../../../../measure/figure';
import { count, mm, movement, type Quantity } from '../../../../measure/quantity';
import { findPart, type TablePiece } from '../../../piece';

const input = (label: string, quantity: Quantity | string): Figure['inputs'][number] => ({ label, quantity });
const figure = (
  id: string,
  label: string,
  quantity: Quantity,
  formula: string,
  inputs: Figure['inputs'],
  source = 'common practice',
): Figure => ({ id, label, quantity, formula, inputs, source });

/** How the aprons stand in the legs, in the order in which it is marked out. */
export function cornerFigures(piece: TablePiece, choice: Joints): Figure[] {
  const { corner } = piece;
  if (!corner) return [];
  const own = isInserted(corner)
    ? inserted(piece, corner, choice)
    : corner.kind === 'pocket-screws'
      ? screwed(piece, corner)
      : plated(corner);
  return [...own, ...apron(piece)];
}

function inserted(piece: TablePiece, corner: InsertedCorner, choice: Joints): Figure[] {
  const { tenon, haunch } = corner;
  const front = findPart(piece, 'apron-front');
  const height = front?.size.width ?? 0;
  const { one } = CORNERS[corner.kind];
  const dowelled = corner.kind === 'dowels';
  const One = one.charAt(0).toUpperCase() + one.slice(1);
  const thickness = dowelled
    ? 'the dowel nearest to 2/5 of the apron'
    : choice.tenonSchool === 'third'
      ? 'apron ÷ 3'
      : 'apron ÷ 2 in a leg twice as thick, else ÷ 3';
  return [
    figure(
      'tenon-length',
      `${One} into the leg`,
      mm(tenon.length),
      dowelled
        ? 'three and a half times its thickness, less where two would meet or the back wall gets thin'
        : 'two thirds of the leg, less where the tenons would meet or the back wall gets thin',
      [
        input('Aim', mm(corner.aim)),
        input('Wall left behind', mm(corner.wallBehind)),
        input('How they meet', corner.meeting),
      ],
      'common practice; geometry',
    ),
    figure(
      'tenon-thickness-used',
      `${One} thickness`,
      movement(tenon.thickness),
      choice.tenonThickness === null ? thickness : 'decided by you',
      [input('Apron', mm(front?.size.thickness ?? 0))],
      'common practice, the school chosen in the step Joints',
    ),
    ...(dowelled
      ? [
          figure(
            'tenon-pitch',
            'From dowel to dowel',
            movement(tenon.pitch),
            '(apron − twice the dowel at both edges) ÷ (dowels − 1), at most four times the dowel',
            [input('Apron height', mm(height)), input('In an end', count(tenon.count))],
          ),
          figure('tenon-into-apron', 'Into the apron', mm(tenon.intoApron), 'three and a half times its thickness', [
            input('Dowel', mm(tenon.thickness)),
          ]),
        ]
      : [
          figure(
            'tenon-height',
            tenon.count > 1 ? `Tenon height, each of ${tenon.count}` : 'Tenon height',
            mm(tenon.width),
            tenon.count > 1
              ? '(apron − set down − lower shoulder − 12) ÷ 2'
              : corner.meeting === 'staggered'
                ? '(apron − set down − lower shoulder) ÷ 2'
                : 'apron − set down − lower shoulder',
            [
              input('Apron height', mm(height)),
              input('Set down', mm(tenon.topSet)),
              input('In an end', count(tenon.count)),
            ],
          ),
        ]),
    figure(
      'tenon-set-down',
      'Set down from the upper edge',
      mm(tenon.topSet),
      dowelled ? 'twice the dowel to its middle, at least 10' : 'apron height ÷ 4, at most 20 mm',
      [input('Apron height', mm(height))],
      dowelled ? 'common practice' : 'common practice: leaves wood above the mortise at the leg’s end',
    ),
    ...(haunch
      ? [
          figure(
            'haunch',
            haunch.sloped ? 'Haunch, deep at the tenon' : 'Haunch, deep',
            mm(haunch.depth),
            'as deep as the tenon is thick, and clear of the neighbour’s',
            [input('Tenon, thick', mm(tenon.thickness)), input('Set down', mm(tenon.topSet))],
            'common practice: keeps the apron’s upper edge from twisting',
          ),
        ]
      : []),
  ];
}

function screwed(piece: TablePiece, { screw, wallOutside }: CornerScrews): Figure[] {
  const height = findPart(piece, 'apron-front')?.size.width ?? 0;
  return [
    figure('screw-length', 'Pocket screws, long', mm(screw.length), 'by the apron’s thickness', [
      input('Apron', mm(findPart(piece, 'apron-front')?.size.thickness ?? 0)),
      input('Thick', mm(screw.diameter)),
    ]),
    figure('screw-bite', 'Bite in the leg', mm(screw.bite), 'screw − what lies in the apron', [
      input('Under the head to the apron’s end', mm(screw.seat)),
      input('Left before the leg’s outside', mm(wallOutside)),
    ]),
    figure(
      'screw-seat',
      'Stop collar: pocket’s end to the apron’s end',
      mm(screw.seat),
      'four fifths of the apron’s thickness, along the screw',
      [input('Angle', { amount: screw.angle, unit: 'degrees' }), input('Pocket, wide', mm(screw.pocket))],
    ),
    figure(
      'screw-pitch',
      'From screw to screw',
      movement((screw.places.at(1) ?? 0) - (screw.places[0] ?? 0)),
      'even between the edges, at most 60 mm',
      [input('Apron height', mm(height)), input('In an end', count(screw.places.length))],
    ),
  ];
}

function plated({ plate, bolt, wallOutside }: CornerPlate): Figure[] {
  return [
    figure(
      'plate-kerf',
      'Kerf, from the apron’s end',
      mm(plate.kerfAt),
      'so far that the plate stands clear of the leg and can draw',
      [input('Wide', mm(plate.kerfWide)), input('Deep', mm(plate.kerfDeep)), input('Plate, high', mm(plate.height))],
    ),
    figure('bolt-bite', 'Bolt in the leg', mm(bolt.bite), 'along the diagonal, from the flat on the leg’s corner', [
      input('Thick', mm(bolt.diameter)),
      input('Left before the outer corner', mm(wallOutside)),
    ]),
    figure('bolt-flat', 'Flat on the leg’s inner corner, wide', mm(bolt.flat), 'as wide as washer and nut want', [
      input('Bolts in a leg', count(bolt.places.length)),
    ]),
  ];
}

function apron(piece: TablePiece): Figure[] {
  const front = findPart(piece, 'apron-front');
  return [
    figure(
      'apron-overall',
      'Long apron, overall',
      mm(front?.size.length ?? 0),
      'shoulder length + both tenons',
      [input('Between shoulders', mm(front?.shoulderLength ?? 0)), input('Tenon, each', mm(front?.beyond.start ?? 0))],
      'geometry',
    ),
    figure(
      'apron-shoulder',
      'Long apron, between its shoulders',
      mm(front?.shoulderLength ?? 0),
      'base − both legs',
      [
        input('Base over the legs', mm(piece.base.length)),
        input('Leg', mm(findPart(piece, 'leg-front-left')?.size.width ?? 0)),
      ],
      'geometry',
    ),
  ];
}
