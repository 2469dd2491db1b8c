'use client';

import { type BoardInput, DEFECT_FACES, DEFECT_KINDS, type Defect, PRICE_UNITS, type Problem, TONES } from '@/core';
import { Button } from '@/ui/button';
import { DayField } from '@/ui/day-field';
import { Choice, LengthField, NumberField, Select, TextField } from '@/ui/fields';
import { useSpecies } from '@/ui/species';

const PER: Record<(typeof PRICE_UNITS)[number], string> = {
  'board-foot': 'board foot',
  m3: 'm³',
  m2: 'm²',
  metre: 'metre',
  piece: 'piece',
};
const TONE_NAMES: Record<(typeof TONES)[number], string> = {
  1: 'pale',
  2: 'light',
  3: 'middling',
  4: 'dark',
  5: 'deep',
};
const BENDS = { twist: 'Twist, at one corner', bow: 'Bow, along it', cup: 'Cup, across it' };
const SEEN: Record<(typeof DEFECT_FACES)[number], string> = {
  through: 'on both faces',
  tagged: 'on the tagged face',
  under: 'on the under face',
};

/** A board that is being described, and how an entry of it is changed. */
export interface Described {
  draft: BoardInput;
  put: <K extends keyof BoardInput>(key: K) => (value: BoardInput[K]) => readonly Problem[] | undefined;
  set: (change: (now: BoardInput) => BoardInput) => void;
}

/** What is not asked of a sheet: it is as it was bought. */
const AS_BOUGHT = {
  farWidth: null,
  liveEdges: { near: 0, far: 0 },
  crook: null,
  heights: null,
  quarters: null,
  surface: 'dressed',
  ringAngle: 0,
  ringCentre: null,
  moisture: null,
  moistureOn: null,
  tone: null,
  planes: null,
  lot: '',
} as const;
/** As sheets are mostly sold, mm. */
const SHEET = { length: 2440, width: 1220, thickness: 18 };

/** Of which wood it is; a sheet begins in the size that sheets have. */
export function WoodField({ draft, set }: Described) {
  const { all, find } = useSpecies();
  return (
    <Select
      label="Wood"
      value={draft.species}
      onCommit={(species) =>
        set((now) => {
          const [is, was] = [find(species)?.sheet, find(now.species)?.sheet];
          return { ...now, species, ...(is ? AS_BOUGHT : {}), ...(is && !was ? SHEET : {}) };
        })
      }
      options={all.map(({ id, commonName, sheet }) => ({
        value: id,
        label: sheet ? `sheet: ${commonName}` : commonName,
      }))}
      wide
    />
  );
}

/** Its sizes; of a board also how its edges and faces are. */
export function SizeFields({ draft, put, set, sheet }: Described & { sheet: boolean }) {
  return (
    <>
      <LengthField
        label={sheet ? 'Length, along the face grain' : 'Length'}
        mm={draft.length}
        least={100}
        most={12000}
        onCommit={put('length')}
      />
      <LengthField label="Width" mm={draft.width} least={20} most={2000} onCommit={put('width')} />
      {sheet ? null : <AsItIsFields draft={draft} put={put} set={set} />}
      <LengthField
        label={sheet ? 'Thickness' : 'Thickness, as it lies'}
        mm={draft.thickness}
        least={5}
        most={300}
        onCommit={put('thickness')}
      />
    </>
  );
}

/** A board as it lies: tapered, with live edges, rough or dressed. */
function AsItIsFields({ draft, put, set }: Described) {
  return (
    <>
      <LengthField
        label="Width at the other end"
        mm={draft.farWidth}
        least={20}
        most={2000}
        allowEmpty="the same"
        onCommit={put('farWidth')}
        onEmpty={() => put('farWidth')(null)}
      />
      {(['near', 'far'] as const).map((edge) => (
        <LengthField
          key={edge}
          label={`Live edge, ${edge}`}
          mm={draft.liveEdges[edge]}
          most={500}
          onCommit={(depth) => put('liveEdges')({ ...draft.liveEdges, [edge]: depth })}
        />
      ))}
      <Choice
        label="Surface"
        value={draft.surface}
        onCommit={put('surface')}
        options={[
          { value: 'rough', label: 'Rough' },
          { value: 'dressed', label: 'Dressed' },
        ]}
      />
      <Select
        label="Bought as"
        value={String(draft.quarters ?? '')}
        onCommit={(q) =>
          set((now) => ({
            ...now,
            quarters: q ? Number(q) : null,
            thickness: q ? Number(q) * 6.35 : now.thickness,
          }))
        }
        options={[
          { value: '', label: 'measured' },
          ...[4, 5, 6, 8, 10, 12, 16].map((q) => ({ value: String(q), label: `${q}/4` })),
        ]}
      />
    </>
  );
}

/** What is to be kept out of some uses. */
export function DefectFields({
  draft,
  put,
  defect,
}: Described & { defect: (i: number, part: Partial<Defect>) => undefined }) {
  return (
    <fieldset className="mt-4 border-line border-t pt-2">
      <legend className="pr-2 text-ink-2">Defects</legend>
      {draft.defects.map((d, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a defect has no name of its own
        <div key={i} className="mb-2 border-hairline border-b">
          <Select
            label={`Defect ${i + 1}`}
            value={d.kind}
            onCommit={(kind) => defect(i, { kind })}
            options={DEFECT_KINDS.map((kind) => ({ value: kind, label: kind }))}
          />
          <Select
            label="Seen"
            value={d.face}
            onCommit={(face) => defect(i, { face })}
            options={DEFECT_FACES.map((face) => ({ value: face, label: SEEN[face] }))}
          />
          <LengthField label="From the tagged end" mm={d.x} onCommit={(x) => defect(i, { x })} />
          <LengthField label="From the near edge" mm={d.y} onCommit={(y) => defect(i, { y })} />
          <LengthField label="Long" mm={d.length} least={1} onCommit={(length) => defect(i, { length })} />
          <LengthField label="Wide" mm={d.width} least={1} onCommit={(width) => defect(i, { width })} />
          <Button look="quiet" className="mb-2" onClick={() => put('defects')(draft.defects.filter((_, j) => j !== i))}>
            Take it away
          </Button>
        </div>
      ))}
      <Button
        onClick={() =>
          put('defects')([...draft.defects, { kind: 'knot', x: 0, y: 0, length: 50, width: 30, face: 'through' }])
        }
      >
        Add a defect
      </Button>
    </fieldset>
  );
}

/** How it grew and was sawn, and how damp it is. */
export function GrainFields({ draft, put, today }: Described & { today: string }) {
  return (
    <>
      <NumberField
        label="Ring angle"
        unit="°"
        value={draft.ringAngle}
        least={0}
        most={90}
        onCommit={put('ringAngle')}
        hint="At the end, rings to face: 0 flat, 90 quarter."
      />
      <NumberField
        label="Pith below the middle, mm"
        value={draft.ringCentre?.distance ?? null}
        least={0}
        most={3000}
        allowEmpty="not known"
        onCommit={(distance) => put('ringCentre')({ distance, offset: draft.ringCentre?.offset ?? 0 })}
        onEmpty={() => put('ringCentre')(null)}
        hint="Where the rings have their centre; it goes before the angle."
      />
      {draft.ringCentre ? (
        <NumberField
          label="Pith to the side, mm"
          value={draft.ringCentre.offset}
          least={-3000}
          most={3000}
          onCommit={(offset) => put('ringCentre')({ distance: draft.ringCentre?.distance ?? 0, offset })}
        />
      ) : null}
      <NumberField
        label="Moisture"
        unit="%"
        value={draft.moisture}
        least={2}
        most={100}
        step={0.1}
        allowEmpty="not read"
        onCommit={put('moisture')}
        onEmpty={() => put('moisture')(null)}
      />
      <DayField label="Read on" value={draft.moistureOn ?? today} onCommit={put('moistureOn')} />
      <Select
        label="Tone"
        value={String(draft.tone ?? '')}
        onCommit={(tone) => put('tone')(TONES.find((t) => String(t) === tone) ?? null)}
        options={[
          { value: '', label: 'not looked at' },
          ...TONES.map((tone) => ({ value: String(tone), label: TONE_NAMES[tone] })),
        ]}
      />
      <Select
        label="Tagged face planes"
        value={draft.planes ?? ''}
        onCommit={(planes) => put('planes')(planes === '' ? null : planes)}
        options={[
          { value: '', label: 'not looked at' },
          { value: 'far-end', label: 'away from the tag' },
          { value: 'tagged-end', label: 'toward the tag' },
        ]}
      />
      <TextField label="Lot" value={draft.lot} onCommit={put('lot')} />
    </>
  );
}

/** Where it lies and what it cost. */
export function KeepingFields({ draft, put }: Described) {
  return (
    <>
      <TextField label="Lies at" value={draft.storedAt} onCommit={put('storedAt')} />
      <NumberField
        label="Price"
        value={draft.price?.amount ?? null}
        least={0}
        most={1_000_000}
        allowEmpty="the shop’s"
        onCommit={(amount) => put('price')({ amount, per: draft.price?.per ?? 'board-foot' })}
        onEmpty={() => put('price')(null)}
      />
      {draft.price ? (
        <Select
          label="Price per"
          value={draft.price.per}
          onCommit={(per) => put('price')({ amount: draft.price?.amount ?? 0, per })}
          options={PRICE_UNITS.map((per) => ({ value: per, label: PER[per] }))}
        />
      ) : null}
    </>
  );
}

/** How far it is out of flat; figures of the whole board stand instead of what was measured point by point. */
export function BendFields({ draft, set }: Described) {
  const putCrook = (crook: BoardInput['crook']) => {
    set((now) => ({ ...now, crook, heights: null }));
    return undefined;
  };
  return (
    <>
      {(['twist', 'bow', 'cup'] as const).map((bend) => (
        <LengthField
          key={bend}
          label={BENDS[bend]}
          mm={draft.crook?.[bend] ?? null}
          most={100}
          allowEmpty="not measured"
          onCommit={(value) => putCrook({ twist: 0, bow: 0, cup: 0, ...draft.crook, [bend]: value })}
          onEmpty={() => putCrook(null)}
        />
      ))}
    </>
  );
}
