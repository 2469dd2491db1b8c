import type { Form } from '../decision/job-document';
import { cornerTies } from '../joint/leg-corner';
import { stubTies } from '../joint/stub-tenon';
import type { Tie } from '../restraint/tie';
import { holdTie } from './hold';
import { extent, type Part } from './part';
import type { Piece } from './piece';

/** Everything that ties one part of the piece to another, as its joints and its fasteners declare it. */
export function tiesOf(piece: Piece, form: Form): Tie[] {
  const of = (kind: Part['kind']) => piece.parts.filter((part) => part.kind === kind);
  const [legs, aprons, rails] = [of('leg'), of('apron'), of('cross-rail')];
  const top = piece.parts.find((part) => part.kind === 'top');
  const tenonZ = (part: Part) => part.place.z + part.size.width / 2 - part.tenon.topSet - part.tenon.width / 2;

  const corners = aprons.flatMap((apron) => {
    const along = apron.axes.length === 'x' ? 'x' : 'y';
    const beside = along === 'x' ? 'y' : 'x';
    return legs
      .filter((leg) => Math.sign(leg.place[beside]) === Math.sign(apron.place[beside]))
      .flatMap((leg) => {
        const inward = -Math.sign(leg.place[along]);
        const face = leg.place[along] + (inward * extent(leg)[along]) / 2;
        const depth = (apron.tenon.start || piece.corner.tenon.length) / 2;
        const at = { ...apron.place, [along]: face - inward * depth, z: tenonZ(apron) };
        return cornerTies({ leg, apron, at, tenonWidth: apron.tenon.width || piece.corner.tenon.width });
      });
  });
  const stubs = rails.flatMap((rail) =>
    aprons
      .filter((apron) => apron.axes.length === 'x')
      .flatMap((apron) =>
        stubTies({
          apron,
          rail,
          at: { x: rail.place.x, y: apron.place.y, z: tenonZ(rail) },
          tenonWidth: rail.tenon.width,
        }),
      ),
  );
  const underside = top ? top.place.z - top.size.thickness / 2 : 0;
  const hold = piece.fasteners.map((fastener) =>
    holdTie({
      kind: form.hold.kind,
      travel: form.hold.travel,
      id: fastener.id,
      rail: fastener.on,
      at: { x: fastener.x, y: fastener.y, z: underside },
      holdsMiddle: fastener.holdsMiddle,
    }),
  );
  return [...corners, ...stubs, ...hold];
}
