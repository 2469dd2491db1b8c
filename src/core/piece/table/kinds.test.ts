import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { sixSeats } from '../../../../tests/fixtures/demo';
import { withChanges } from '../../decision/changes';
import type { FormField } from '../../decision/form-field';
import { optionsAt, schemaAt } from '../../decision/schema-at';
import { startBase, startBaseChanges, startTop, startTopChanges } from '../../start/start-form';
import { BASE_KINDS, BaseSchema, baseKind, TableFormSchema, TOP_KINDS, TopSchema, topKind } from './form';
import { FLAT_FIELDS, HEIGHT_FIELDS, JOINED_FIELDS, LOAD_FIELDS, SIZE_FIELDS } from './form-fields';

const { form } = sixSeats();

type Field = FormField<{ kind: string }>;
type Asked = Exclude<Field, { ask: 'nothing' }>;
const isAsked = (field: Field): field is Asked => field.ask !== 'nothing';

/** A value, and what it becomes by each choice that can be made in it. */
const withChoices = (value: object, fields: readonly Asked[]): object[] => [
  value,
  ...fields.flatMap((field) =>
    field.ask === 'choice' && (field.when?.(value as never, form) ?? true)
      ? field.options.map((option) =>
          withChanges(value, [
            { path: field.at, value: field.start ? field.start(option.value, value as never) : option.value },
          ]),
        )
      : [],
  ),
];

function expectFieldsOf(schema: Parameters<typeof schemaAt>[0], begin: object, all: readonly unknown[]) {
  const fields = (all as readonly Field[]).filter(isAsked);
  // Twice: some choices are there only when another has been made.
  const values = withChoices(begin, fields).flatMap((value) => withChoices(value, fields));
  for (const field of fields) {
    const found = values.find((value) => schemaAt(schema, value, field.at.split('.')));
    expect(found, `${field.at} is nowhere`).toBeDefined();
    if (field.ask !== 'choice' || field.start) continue;
    expect(field.options.map(({ value }) => value).sort()).toEqual(
      [...(optionsAt(schema, found, field.at) ?? [])].sort(),
    );
  }
  // Choices that belong to another choice are made only where it is made.
  for (const value of values) expect(v.is(schema as never, value), JSON.stringify(value)).toBe(true);
}

describe.each(TOP_KINDS)('a top of $name', ({ kind }) => {
  const { schema, fields, shape = [] } = topKind(kind);

  it('begins with sound decisions', () => {
    expect(v.is(TopSchema, startTop(kind, form.top))).toBe(true);
  });

  it('asks for what there is, and offers only what its decisions take', () => {
    expectFieldsOf(schema, startTop(kind, form.top), [...shape, ...fields]);
  });

  it('comes back as it was left when another kind is tried', () => {
    const own = { ...form, top: { ...startTop(kind, form.top), thickness: 33 } };
    for (const other of TOP_KINDS) {
      const tried = withChanges({ form: own }, startTopChanges(other.kind, own)).form;
      expect(v.is(TableFormSchema, tried)).toBe(true);
      const back = withChanges({ form: tried }, startTopChanges(kind, tried)).form;
      expect(back.top).toEqual(own.top);
    }
  });
});

describe.each(BASE_KINDS)('a base of $name', ({ kind }) => {
  const { schema, fields } = baseKind(kind);

  it('begins with sound decisions', () => {
    expect(v.is(BaseSchema, startBase(kind, form.top, 740))).toBe(true);
  });

  it('asks for what there is, and offers only what its decisions take', () => {
    expectFieldsOf(schema, startBase(kind, form.top, 740), fields);
  });

  it('comes back as it was left, and what held the top with it, when another kind is tried', () => {
    const own = withChanges({ form }, startBaseChanges(kind, form)).form;
    for (const other of BASE_KINDS) {
      const tried = withChanges({ form: own }, startBaseChanges(other.kind, own)).form;
      expect(v.is(TableFormSchema, tried)).toBe(true);
      const back = withChanges({ form: tried }, startBaseChanges(kind, tried)).form;
      expect(back.base).toEqual({ ...own.base, height: tried.base.height });
      expect(back.hold).toEqual(own.hold);
    }
  });
});

it('what every table is asked is there', () => {
  const shared = [...SIZE_FIELDS, ...HEIGHT_FIELDS, ...FLAT_FIELDS, ...JOINED_FIELDS, ...LOAD_FIELDS];
  expectFieldsOf(TableFormSchema, form, shared);
});
