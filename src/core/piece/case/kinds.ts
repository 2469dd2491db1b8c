import * as backs from './backs/kinds';
import * as corners from './corners/kinds';
import type { CaseForm } from './form';
import * as fronts from './fronts/kinds';
import type { FixingKind } from './inside/fixings/fixing';
import * as fixings from './inside/fixings/kinds';
import type { BackKind, CornerKind, FrontKind, KindSchema, StandKind, TopKind } from './kind';
import * as stands from './stands/kinds';
import * as tops from './tops/kinds';

type Stored = { schema: { entries: { kind: { literal: string } } } };

const byName = (kinds: Readonly<Record<string, Stored>>): ReadonlyMap<string, unknown> =>
  new Map(Object.values(kinds).map((kind) => [kind.schema.entries.kind.literal, kind]));

const CORNERS = byName(corners);
const BACKS = byName(backs);
const STANDS = byName(stands);
const TOPS = byName(tops);
const FIXINGS = byName(fixings);
const FRONTS = byName(fronts);

/** A kind that says what its own decisions are: whoever asks has them from a form, where they are of that kind. */
function known<K>(table: ReadonlyMap<string, unknown>, name: string): K {
  const kind = table.get(name);
  if (!kind) throw new Error(`no kind is called ${name}`);
  return kind as K;
}

export const cornerKind = (name: CaseForm['carcass']['corner']['kind']): CornerKind<KindSchema> => known(CORNERS, name);
export const backKind = (name: CaseForm['back']['kind']): BackKind<KindSchema> => known(BACKS, name);
export const standKind = (name: CaseForm['stand']['kind']): StandKind<KindSchema> => known(STANDS, name);
export const caseTopKind = (name: CaseForm['top']['kind']): TopKind<KindSchema> => known(TOPS, name);
export const fixingKind = (name: CaseForm['inside']['fixing']['kind']): FixingKind<KindSchema> => known(FIXINGS, name);
export const frontKind = (name: CaseForm['front']['kind']): FrontKind<KindSchema> => known(FRONTS, name);

const listed = (kinds: ReadonlyMap<string, unknown>) =>
  [...kinds].map(([kind, own]) => ({ kind, name: (own as { name: string }).name }));

/** What there is to choose from, by the names of the kinds. */
export const CORNER_KINDS = listed(CORNERS) as readonly { kind: CaseForm['carcass']['corner']['kind']; name: string }[];
export const BACK_KINDS = listed(BACKS) as readonly { kind: CaseForm['back']['kind']; name: string }[];
export const FIXING_KINDS = listed(FIXINGS) as readonly { kind: CaseForm['inside']['fixing']['kind']; name: string }[];
export const CASE_TOP_KINDS = listed(TOPS) as readonly { kind: CaseForm['top']['kind']; name: string }[];
export const STAND_KINDS = listed(STANDS) as readonly { kind: CaseForm['stand']['kind']; name: string }[];
export const FRONT_KINDS = listed(FRONTS) as readonly { kind: CaseForm['front']['kind']; name: string }[];
