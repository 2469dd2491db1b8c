import type { Joint } from '../../../joint/joint';
import { fixed } from '../../../restraint/tie';
import { squareFrame } from '../../../solid/frame';
import type { Draft } from '../../part';
import { type BasePlan, NO_GEAR, type Rest, type TopGear, type TopPlan } from '../../plans';
import type { Unbuildable } from '../../unbuildable';
import { THROUGH_STEEL } from '../bases/frames/steel';
import type { TableForm } from '../form';

/** A pair of bought-in mechanisms that lift a top toward the sitter, each inside an end apron. mm */
export function planLift(form: TableForm, _top: TopPlan, base: BasePlan): TopGear {
  if (form.top.kind !== 'glued-panel' || !form.top.lift) return NO_GEAR;
  const { lift } = form.top;
  const upright = form.base.kind === 'leg-apron' && form.base.leg.splay.ends === 0 && form.base.leg.splay.sides === 0;
  const aprons = (['left', 'right'] as const).map((word) => base.drafts.find(({ id }) => id === `apron-${word}`));
  if (!upright || aprons.some((apron) => !apron)) {
    return {
      ...NO_GEAR,
      problems: [
        {
          problem: 'A lifting mechanism is screwed to upright end aprons.',
          where: 'form.top.lift',
          wayOut: 'Take legs and aprons that stand upright, or a top that stays down.',
        },
      ],
    };
  }
  const drafts: Draft[] = [];
  const joints: Joint[] = [];
  const rests: Rest[] = [];
  for (const apron of aprons as Draft[]) {
    const side = Math.sign(apron.frame.at[0]);
    const word = side < 0 ? 'left' : 'right';
    const inner = apron.frame.at[0] - (side * apron.size.thickness) / 2;
    const x = inner - (side * lift.thick) / 2;
    const draft: Draft = {
      id: `lift-${word}`,
      name: `Lifting mechanism, ${word}`,
      kind: 'lift',
      grade: 'hidden',
      material: 'steel',
      weighs: lift.weight,
      size: { length: lift.long, width: lift.height, thickness: lift.thick },
      frame: squareFrame([x, 0, base.underside - lift.height / 2], { length: 'y', width: 'z', thickness: 'x' }),
    };
    drafts.push(draft);
    joints.push({
      id: `${apron.id}/${draft.id}`,
      kind: 'mechanism',
      name: `Mechanism on ${apron.name.toLowerCase()}`,
      into: apron.id,
      from: draft.id,
      removed: [],
      added: [],
      ties: [
        fixed({
          id: `${apron.id}/${draft.id}`,
          name: `mechanism on ${apron.name.toLowerCase()}`,
          a: apron.id,
          b: draft.id,
          at: { x: inner, y: 0, z: draft.frame.at[2] },
        }),
      ],
    });
    const reach = lift.long / 2;
    rests.push({ part: draft.id, from: [x, -reach], to: [x, reach], held: [x, 0], slides: true });
  }
  return {
    ...NO_GEAR,
    drafts,
    joints,
    rests,
    fittings: [
      { name: 'Lifting mechanisms, a pair', count: 1, size: [lift.rise, lift.forward] },
      ...(lift.ballast > 0
        ? [{ name: `Ballast under the top, ${lift.ballast.toFixed(1)} kg`, count: 1, size: [] }]
        : []),
    ],
    problems: impossible(form, lift),
  };
}

function impossible({ hold, flat }: TableForm, lift: { least: number; most: number }): Unbuildable[] {
  const problems: Unbuildable[] = [];
  if (!THROUGH_STEEL.includes(hold.kind)) {
    problems.push({
      problem: 'The plate of a mechanism takes nothing that wants a rail of wood.',
      where: 'form.hold.kind',
      wayOut: 'Take bolts into inserts, oversized holes or screws, in the step Season.',
    });
  }
  if (lift.least >= lift.most) {
    problems.push({
      problem: 'The mechanism lifts from more to less.',
      where: 'form.top.lift.most',
      wayOut: 'Enter what it lifts at the least and at the most, as its maker says.',
    });
  }
  if (flat.kind !== 'none') {
    problems.push({
      problem: 'Battens or channels under a lifting top come down on its mechanism.',
      where: 'form.flat',
      wayOut: 'Let the mechanism’s plates keep it flat.',
    });
  }
  return problems;
}
