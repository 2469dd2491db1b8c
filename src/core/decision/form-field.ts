type Depth = [never, 0, 1, 2, 3, 4, 5, 6];

/** Where in a value something is: its keys, dotted. An entry of a list is named by its `id` or its place. */
export type Path<T, D extends number = 6> = [D] extends [never]
  ? never
  : T extends readonly (infer Entry)[]
    ? `${number}` | `${number}.${Path<NonNullable<Entry>, Depth[D]>}`
    : T extends object
      ? { [K in keyof T & string]: K | `${K}.${Path<NonNullable<T[K]>, Depth[D]>}` }[keyof T & string]
      : never;

/** What of a whole form the fields of one part of it may depend on. */
export interface WholeForm {
  top: { kind: string };
  base: { kind: string };
}

/** Words that are the same for all, or follow from what was chosen. */
export type Words<F> = string | ((form: F) => string);

interface AnyField<F> {
  /** Where in the decisions; what may be there is said by their schema alone. */
  at: Path<F>;
  label: Words<F>;
  hint?: string;
  /** Asked only there; a figure is asked only where there is one in any case. */
  when?(form: F, whole: WholeForm): boolean;
}

/** A figure: a length, a force, an angle, a number of things. */
export interface FigureField<F> extends AnyField<F> {
  ask: 'figure';
  /** By how much an arrow key changes it, where that is not 1. */
  step?: number;
  /** What is said where nothing stands there and a rule chooses. */
  emptyMeans?: string;
}

/** One of a few. */
export interface ChoiceField<F> extends AnyField<F> {
  ask: 'choice';
  options: readonly { value: string; label: string; reason?: string }[];
  /** In a list that opens, where there are many or their names are long. */
  listed?: true;
  /** Which is chosen, where what is stored is not the choice itself. */
  chosen?(form: F): string;
  /** What is stored for a choice, where that is not the choice itself. */
  start?(value: string, form: F): unknown;
}

/** A derived figure beside what it follows from, where there is one. */
export interface ShownFigure {
  ask: 'nothing';
  figure: string;
  label: string;
}

/** What has a field of its own in the interface. */
export interface SpecialField<F> extends AnyField<F> {
  ask: 'live-edge' | 'cut-outs' | 'case-below';
}

/** What is asked of a kind, and drawn as a form. */
export type FormField<F> = FigureField<F> | ChoiceField<F> | ShownFigure | SpecialField<F>;

/** Options from a table of names and reasons. */
export const optionsOf = (
  table: Readonly<Record<string, { name: string; reason?: string }>>,
): ChoiceField<unknown>['options'] =>
  Object.entries(table).map(([value, { name, reason }]) => ({
    value,
    label: name,
    ...(reason === undefined ? {} : { reason }),
  }));

/** Nothing, or something with figures of its own to begin with. */
export const noneOr = <F, V>(
  is: (form: F) => V | null,
  words: { none: string; some: string; reason: string },
  begin: (form: F) => V,
): Pick<ChoiceField<F>, 'ask' | 'options'> & Required<Pick<ChoiceField<F>, 'chosen' | 'start'>> => ({
  ask: 'choice',
  options: [
    { value: 'none', label: words.none },
    { value: 'some', label: words.some, reason: words.reason },
  ],
  chosen: (form) => (is(form) === null ? 'none' : 'some'),
  start: (value, form) => (value === 'none' ? null : begin(form)),
});
