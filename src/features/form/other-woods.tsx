'use client';

import { isMade, KIND_PLURALS, type PartKind, partWoodChanges, sheetWoods } from '@/core';
import { Select } from '@/ui/fields';
import { useSpecies } from '@/ui/species';
import { useChanges, useDecisions, useDerived, useJobInputs } from '../job/job-context';

/** Kinds of parts that may be cut from sheets. */
const OF_SHEETS: ReadonlySet<string> = new Set<PartKind>([
  'shelf',
  'side',
  'case-top',
  'case-bottom',
  'upright',
  'case-shelf',
  'back-panel',
  'panel',
]);

/** Kinds of parts that are of another wood than the piece, each with a choice of its own. */
export function OtherWoods({ woods }: { woods: readonly { value: string; label: string }[] }) {
  const { piece, species } = useDerived();
  const { pieceId, speciesOf } = useDecisions((own) => own);
  const { document: job } = useJobInputs();
  const change = useChanges();
  const { all } = useSpecies();
  const own = piece.parts.filter((part) => isMade(part) || part.material === 'sheet');
  const kinds = [...new Set(own.map(({ kind }) => kind))].filter((kind) => KIND_PLURALS[kind]);
  const sheets = sheetWoods(all).map(({ id, commonName }) => ({ value: id, label: `sheet: ${commonName}` }));
  const ofPiece = { value: '', label: `as the piece: ${species.commonName}` };
  // Parts of a wood of their own, by hand, whatever others of their kind are of.
  const single = own.filter(({ id, kind }) => speciesOf[id] !== undefined && id !== kind);
  const optionsFor = (of: string) => {
    if (single.some(({ id }) => id === of)) return [{ value: '', label: 'as others of its kind' }, ...woods];
    if (of === 'sheet') return [{ value: '', label: 'bought to size' }, ...sheets];
    const solid = woods.filter(({ value }) => value !== species.id);
    return [ofPiece, ...solid, ...(OF_SHEETS.has(of) ? sheets : [])];
  };
  const others = Object.keys(speciesOf).length;
  const title = (kind: PartKind) => {
    const words = KIND_PLURALS[kind] ?? kind;
    return words.charAt(0).toUpperCase() + words.slice(1);
  };
  // A panel of designed strips has two woods more to choose.
  const stripes = piece.parts.flatMap(({ id, name, strips }) =>
    (['stripes', 'block'] as const)
      .filter((which) => strips?.some((strip) => strip.of === which))
      .map((which) => ({
        of: `${id}/${which}`,
        label: which === 'block' ? `Block of the ${name.toLowerCase()}` : `Other strips of the ${name.toLowerCase()}`,
      })),
  );
  return (
    <details className="mb-3" open={others > 0 || stripes.length > 0}>
      <summary className="cursor-pointer font-semibold text-layout">
        Parts of another wood{others > 0 ? ` · ${others}` : ''}
      </summary>
      <div className="mt-2">
        {[
          ...kinds.map((kind) => ({ of: kind as string, label: title(kind) })),
          ...stripes,
          ...single.map(({ id, letter, name }) => ({ of: id, label: `${letter}, ${name}` })),
        ].map(({ of, label }) => (
          <Select
            key={of}
            wide
            label={label}
            value={speciesOf[of] ?? ''}
            options={optionsFor(of)}
            onCommit={(wood) => void change(partWoodChanges(job, pieceId, of, wood === '' ? null : wood))}
          />
        ))}
        <Select
          wide
          label="One part by itself"
          value=""
          options={[
            { value: '', label: 'choose a part …' },
            ...own
              .filter((part) => isMade(part) && !part.strips && part.id !== part.kind && !speciesOf[part.id])
              .map(({ id, letter, name, wood }) => ({
                value: id,
                label: `${letter}, ${name} · ${(wood ?? species).commonName}`,
              })),
          ]}
          onCommit={(id) => {
            const part = own.find((one) => one.id === id);
            if (part) void change(partWoodChanges(job, pieceId, id, (part.wood ?? species).id));
          }}
        />
      </div>
    </details>
  );
}
