import type { Change } from '../decision/changes';
import type { CaseForm } from '../piece/case/form';
import type { Outside, Shell } from '../piece/case/kind';
import { backKind, cornerKind, standKind } from '../piece/case/kinds';

type Corner = CaseForm['carcass']['corner'];
type Back = CaseForm['back'];
type Stand = CaseForm['stand'];

/** Sound beginnings of the kinds of a case (common practice), mm. What a kind begins with is of its own schema. */
export const startCorner = (kind: Corner['kind'], shell: Pick<Shell, 'depth' | 'sides' | 'across'>): Corner =>
  cornerKind(kind).start(shell) as unknown as Corner;
export const startBack = (kind: Back['kind'], outside: Outside): Back =>
  backKind(kind).start(outside) as unknown as Back;
export const startStand = (kind: Stand['kind'], outside: Outside): Stand =>
  standKind(kind).start(outside) as unknown as Stand;

const put = <K extends { kind: string }>(list: readonly K[], own: K): K[] => [
  ...list.filter(({ kind }) => kind !== own.kind),
  own,
];

const before = <K extends { kind: string }>(list: readonly K[], kind: string): K | undefined =>
  list.find((own) => own.kind === kind);

/** What changes when the boards of a case meet in another way; what was decided of the old one is put aside, and comes back. */
export function startCornerChanges(kind: Corner['kind'], { carcass, depth, aside }: CaseForm): Change[] {
  if (kind === carcass.corner.kind) return [];
  const next = before(aside.corners, kind) ?? startCorner(kind, { ...carcass, depth });
  return [
    { path: 'form.carcass.corner', value: next },
    { path: 'form.aside.corners', value: put(aside.corners, carcass.corner) },
  ];
}

export function startBackChanges(kind: Back['kind'], form: CaseForm): Change[] {
  if (kind === form.back.kind) return [];
  return [
    { path: 'form.back', value: before(form.aside.backs, kind) ?? startBack(kind, form) },
    { path: 'form.aside.backs', value: put(form.aside.backs, form.back) },
  ];
}

export function startStandChanges(kind: Stand['kind'], form: CaseForm): Change[] {
  if (kind === form.stand.kind) return [];
  return [
    { path: 'form.stand', value: before(form.aside.stands, kind) ?? startStand(kind, form) },
    { path: 'form.aside.stands', value: put(form.aside.stands, form.stand) },
  ];
}
