import type { Change } from '../decision/changes';
import type { CaseForm } from '../piece/case/form';
import type { Outside, Shell } from '../piece/case/kind';
import { backKind, caseTopKind, cornerKind, fixingKind, frontKind, standKind } from '../piece/case/kinds';

type Corner = CaseForm['carcass']['corner'];
type Back = CaseForm['back'];
type Stand = CaseForm['stand'];
type Top = CaseForm['top'];

/** Sound beginnings of the kinds of a case (common practice), mm. What a kind begins with is of its own schema. */
export const startCorner = (kind: Corner['kind'], shell: Pick<Shell, 'width' | 'depth' | 'sides' | 'across'>): Corner =>
  cornerKind(kind).start(shell) as unknown as Corner;
export const startBack = (kind: Back['kind'], outside: Outside): Back =>
  backKind(kind).start(outside) as unknown as Back;
export const startStand = (kind: Stand['kind'], outside: Outside): Stand =>
  standKind(kind).start(outside) as unknown as Stand;

export const startFixing = (kind: CaseForm['inside']['fixing']['kind']): CaseForm['inside']['fixing'] =>
  fixingKind(kind).start() as unknown as CaseForm['inside']['fixing'];
export const startCaseTop = (kind: Top['kind'], outside: Outside & Partial<Pick<CaseForm, 'carcass'>>): Top =>
  caseTopKind(kind).start(outside) as unknown as Top;

const put = <K extends { kind: string }>(list: readonly K[], own: K): K[] => [
  ...list.filter(({ kind }) => kind !== own.kind),
  own,
];

const before = <K extends { kind: string }>(list: readonly K[], kind: string): K | undefined =>
  list.find((own) => own.kind === kind);

/** What changes when the boards of a case meet in another way; what was decided of the old one is put aside, and comes back. */
export function startCornerChanges(kind: Corner['kind'], form: CaseForm): Change[] {
  const { carcass, width, depth, aside } = form;
  if (kind === carcass.corner.kind) return [];
  const next = before(aside.corners, kind) ?? startCorner(kind, { ...carcass, width, depth });
  const [from, to] = [cornerKind(carcass.corner.kind), cornerKind(kind)];
  const thin = from.brings && carcass.sides > carcass.across;
  return [
    // Sides as thick as posts are no boards.
    ...(thin ? [{ path: 'form.carcass.sides', value: carcass.across }] : []),
    ...(to.brings?.({
      ...form,
      back: backKind(form.back.kind).depth(form.back),
      carried: standKind(form.stand.kind).carries ?? false,
    }) ?? []),
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

export function startCaseTopChanges(kind: Top['kind'], form: CaseForm): Change[] {
  if (kind === form.top.kind) return [];
  return [
    { path: 'form.top', value: before(form.aside.tops, kind) ?? startCaseTop(kind, form) },
    { path: 'form.aside.tops', value: put(form.aside.tops, form.top) },
  ];
}

/** What changes when a case is to open the other way: what it stands on, what lies over it and what is in it follow. */
export function openingChanges(opens: CaseForm['opens'], form: CaseForm): Change[] {
  if (opens === form.opens) return [];
  const { only } = caseTopKind(form.top.kind);
  const top = only && only !== opens ? startCaseTopChanges('none', form) : [];
  if (opens === 'front') return [{ path: 'form.opens', value: opens }, ...top];
  const cells = form.inside.cells.map(({ closed, ...cell }) => ({ ...cell, loose: 0 }));
  return [
    { path: 'form.opens', value: opens },
    { path: 'form.alcove', value: null },
    { path: 'form.inside.cells', value: cells },
    ...startCaseTopChanges('lid', form),
    ...(frontKind(form.front.kind).only === 'front' ? startFrontChanges('plain', form) : []),
    ...(form.stand.kind === 'sides' || standKind(form.stand.kind).only === 'front'
      ? startStandChanges('feet', form)
      : []),
    ...(cornerKind(form.carcass.corner.kind).only === 'front' ? startCornerChanges('butted', form) : []),
    ...(form.back.kind === 'open' ? startBackChanges('sheet', form) : []),
  ];
}

export function startFixingChanges(kind: CaseForm['inside']['fixing']['kind'], { inside, aside }: CaseForm): Change[] {
  if (kind === inside.fixing.kind) return [];
  return [
    { path: 'form.inside.fixing', value: before(aside.fixings, kind) ?? startFixing(kind) },
    { path: 'form.aside.fixings', value: put(aside.fixings, inside.fixing) },
  ];
}

export function startFrontChanges(kind: CaseForm['front']['kind'], { front, aside }: CaseForm): Change[] {
  if (kind === front.kind) return [];
  const next = before(aside.fronts, kind) ?? (frontKind(kind).start() as unknown as CaseForm['front']);
  return [
    { path: 'form.front', value: next },
    { path: 'form.aside.fronts', value: put(aside.fronts, front) },
  ];
}
