import * as v from 'valibot';
import type { Bench } from '../../../decision/bench';
import { length, whole } from '../../../decision/fields';
import { optionsOf } from '../../../decision/form-field';
import { topEntries } from '../../../decision/top-shapes';
import { endSeam, SEAMS, seamTenons } from '../../../joint/end-seam';
import type { Joint } from '../../../joint/joint';
import { squareFrame } from '../../../solid/frame';
import { rectangleOutline } from '../../../solid/outline';
import { type Draft, forJoint } from '../../part';
import type { TopPlan, TopSize } from '../../plans';
import { measured } from '../../settle-locks';
import type { Unbuildable } from '../../unbuildable';
import type { TopKind } from '../kind';

const schema = v.object({
  kind: v.literal('pieced'),
  ...topEntries,
  seams: whole(1, 6),
  /** Of each stripe, along the table; 0 for none: end grain against end grain. */
  stripe: length(0, 300),
  seam: v.picklist(['tenons', 'glued']),
});
type Pieced = v.InferOutput<typeof schema>;

const fieldIds = ({ seams }: Pieced) => Array.from({ length: seams + 1 }, (_, i) => `field-${i + 1}`);
/** A field shorter than this is a stripe itself, mm. */
const LEAST_FIELD = 150;

export function piecedSize(form: Pieced, bench: Bench): TopSize {
  const ids = fieldIds(form);
  const field = measured(bench, ids, 'length');
  return {
    length: field === undefined ? form.length : field * ids.length + form.seams * form.stripe,
    width: measured(bench, ids, 'width') ?? form.width,
    thickness: measured(bench, ids, 'thickness') ?? form.thickness,
  };
}

/** Fields one after another along the table, end to end or with a stripe across the grain in every seam. */
export function piecedTop(form: Pieced, size: TopSize, underside: number): TopPlan {
  const { seams, stripe } = form;
  const z = underside + size.thickness / 2;
  const long = Math.max(10, (size.length - seams * stripe) / (seams + 1));
  const left = (i: number) => -size.length / 2 + i * (long + stripe);
  const fields = fieldIds(form).map(
    (id, i): Draft => ({
      id,
      name: `Field ${i + 1}`,
      kind: 'top',
      grade: 'one-face',
      size: { length: long, width: size.width, thickness: size.thickness },
      frame: squareFrame([left(i) + long / 2, 0, z], { length: 'x', width: 'y', thickness: 'z' }),
    }),
  );
  const stripes = Array.from(
    { length: stripe > 0 ? seams : 0 },
    (_, i): Draft => ({
      id: `stripe-${i + 1}`,
      name: `Stripe ${i + 1}`,
      kind: 'border',
      grade: 'one-face',
      size: { length: size.width, width: stripe, thickness: size.thickness },
      frame: squareFrame([left(i) + long + stripe / 2, 0, z], { length: 'y', width: 'x', thickness: 'z' }),
    }),
  );
  const tenons = seamTenons(size.width, size.thickness, stripe > 0 ? Math.min(long, stripe) : long);
  const seam = (field: Draft, other: Draft, x: number, side: 1 | -1): Joint =>
    endSeam({
      id: `${field.id}/${other.id}`,
      name: `${field.name} against ${other.name.toLowerCase()}`,
      field: forJoint(field),
      other: forJoint(other),
      x,
      side,
      z,
      width: size.width,
      tenons,
      kind: form.seam,
      stripe: stripe > 0,
    });
  const joints = fields.slice(1).flatMap((next, i): Joint[] => {
    const field = fields[i] as Draft;
    const between = stripes[i];
    const end = left(i) + long;
    return between
      ? [seam(field, between, end, 1), seam(next, between, end + stripe, -1)]
      : [seam(field, next, end, 1)];
  });
  const count = form.seam === 'tenons' ? joints.length * tenons.places.length : 0;
  return {
    drafts: [...fields, ...stripes],
    joints,
    outline: rectangleOutline(size.length, size.width),
    size,
    leading: 'field-1',
    leads: 'a field',
    fittings:
      count > 0 ? [{ name: 'Loose tenons', count, size: [tenons.thickness, tenons.wide, 2 * tenons.deep] }] : [],
    problems: impossible(form, long),
  };
}

function impossible({ stripe }: Pieced, long: number): Unbuildable[] {
  const problems: Unbuildable[] = [];
  if (long < LEAST_FIELD) {
    problems.push({
      problem: 'The fields are shorter than a hand is long.',
      where: 'form.top.seams',
      wayOut: 'Take fewer seams, or narrower stripes.',
    });
  }
  if (stripe > 0 && stripe < 30) {
    problems.push({
      problem: 'A stripe so narrow has no room for tenons from both sides.',
      where: 'form.top.stripe',
      wayOut: 'Make it at least 30 mm wide, or leave it away.',
    });
  }
  return problems;
}

export const pieced: TopKind<typeof schema> = {
  name: 'Fields with stripes',
  reason: 'Short boards make a long top: fields end to end, a stripe across the grain between them or none.',
  schema,
  fields: [
    { ask: 'figure', at: 'seams', label: 'Seams' },
    {
      ask: 'figure',
      at: 'stripe',
      label: 'Stripe, wide',
      hint: 'Across the grain in every seam; 0 for fields end to end.',
    },
    { ask: 'choice', at: 'seam', label: 'Seams held by', options: optionsOf(SEAMS) },
  ],
  start: () => ({ seams: 1, stripe: 80, seam: 'tenons' }),
  size: piecedSize,
  plan: piecedTop,
};
