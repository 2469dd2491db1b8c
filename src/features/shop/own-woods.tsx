'use client';

import { useState } from 'react';
import { ALL_SPECIES, type OwnSpecies, OwnSpeciesSchema, type Problem, read, type Species } from '@/core';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Choice, NumberField, Select, TextField } from '@/ui/fields';
import { Form } from '@/ui/form';
import { ProblemList } from '@/ui/problem-list';
import { useUnits } from '@/ui/units';

const FRESH = 'fresh';

/** Woods the shipped table does not have, and the workshop's own values for those it has. */
export function OwnWoods({
  woods,
  onWoods,
}: {
  woods: readonly OwnSpecies[];
  onWoods: (woods: OwnSpecies[]) => readonly Problem[] | undefined;
}) {
  const units = useUnits();
  const [editing, setEditing] = useState<OwnSpecies | 'new' | null>(null);
  return (
    <section className="mt-8 max-w-6xl">
      <div className="mb-2 flex items-center border-ink border-b pb-1">
        <h2 className="mr-auto text-[14px]">Woods of your own</h2>
        <Button onClick={() => setEditing('new')}>Add a wood</Button>
      </div>
      {woods.length === 0 ? (
        <p className="text-ink-2">
          The table has {ALL_SPECIES.length} woods; see Methods. Add one it lacks, or give one of them the values you
          trust.
        </p>
      ) : (
        <ul>
          {woods.map((wood) => (
            <li key={wood.id} data-wood={wood.id} className="flex items-baseline gap-4 border-hairline border-b py-1.5">
              <b className="font-semibold">{wood.commonName}</b>
              <span className="figures">
                C {units.number(wood.coefficientRadial, 5)} radial, {units.number(wood.coefficientTangential, 5)}{' '}
                tangential
              </span>
              <span className="mr-auto text-ink-2">
                {ALL_SPECIES.some((s) => s.id === wood.id) ? 'in place of the table’s; ' : ''}
                {wood.sourceNote}
              </span>
              <Button look="quiet" aria-label={`Edit ${wood.commonName}`} onClick={() => setEditing(wood)}>
                Edit
              </Button>
              <Button
                look="quiet"
                aria-label={`Take away ${wood.commonName}`}
                onClick={() => onWoods(woods.filter((w) => w.id !== wood.id))}
              >
                Take away
              </Button>
            </li>
          ))}
        </ul>
      )}
      {editing ? (
        <WoodDialog
          wood={editing === 'new' ? null : editing}
          taken={woods.map((w) => w.id)}
          onClose={() => setEditing(null)}
          onSave={(wood) =>
            onWoods([...woods.filter((w) => w.id !== wood.id && (editing === 'new' || w.id !== editing.id)), wood])
          }
        />
      ) : null}
    </section>
  );
}

const blank: OwnSpecies = {
  id: '',
  commonName: '',
  botanicalName: '',
  kind: 'hardwood',
  shrinkageRadial: null,
  shrinkageTangential: null,
  shrinkageVolumetric: null,
  fibreSaturation: 30,
  coefficientRadial: 0.0015,
  coefficientTangential: 0.003,
  specificGravity: 0.55,
  modulusOfElasticity: 11000,
  modulusOfRupture: 90,
  outdoorDurability: 'low',
  source: 'own',
  sourceNote: '',
};

const ownFrom = (species: Species): OwnSpecies => ({ ...species, source: 'own', sourceNote: '' });
const idOf = (name: string) =>
  name
    .normalize('NFD')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');
/** The coefficient that a shrinkage stands for, at 10 % (Wood Handbook ch. 13). */
const coefficientOf = (shrinkage: number, fsp: number) => 1 / ((100 * fsp) / shrinkage - fsp + 10);

function WoodDialog({
  wood,
  taken,
  onClose,
  onSave,
}: {
  wood: OwnSpecies | null;
  taken: readonly string[];
  onClose: () => void;
  onSave: (wood: OwnSpecies) => readonly Problem[] | undefined;
}) {
  const [draft, setDraft] = useState<OwnSpecies>(wood ?? blank);
  const [from, setFrom] = useState(FRESH);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const change = (part: Partial<OwnSpecies>) => {
    setDraft((now) => ({ ...now, ...part }));
    return undefined;
  };
  const shrinks = (key: 'Radial' | 'Tangential') => (shrinkage: number) =>
    change({
      [`shrinkage${key}`]: shrinkage,
      [`coefficient${key}`]: Number(coefficientOf(shrinkage, draft.fibreSaturation).toFixed(5)),
    });
  const save = () => {
    const id = draft.id || idOf(draft.commonName);
    const sound = read(OwnSpeciesSchema, { ...draft, id }, 'the wood');
    if ('problems' in sound) {
      setProblems(sound.problems);
      return;
    }
    if (!wood && taken.includes(id)) {
      setProblems([
        {
          problem: `You have a wood “${id}” already.`,
          where: 'name',
          wayOut: 'Edit that one, or name this one differently.',
        },
      ]);
      return;
    }
    const refused = onSave(sound.value);
    if (refused) setProblems(refused);
    else onClose();
  };
  return (
    <Dialog title={wood ? wood.commonName : 'Add a wood'} open onClose={onClose} wide>
      <ProblemList problems={problems} />
      <Form onSubmit={save}>
        {wood ? null : (
          <Select
            label="Start from"
            value={from}
            options={[
              { value: FRESH, label: 'a new wood' },
              ...ALL_SPECIES.map((s) => ({ value: s.id, label: `own values for ${s.commonName}` })),
            ]}
            onCommit={(id) => {
              setFrom(id);
              const species = ALL_SPECIES.find((s) => s.id === id);
              setDraft(species ? ownFrom(species) : blank);
              return undefined;
            }}
            wide
          />
        )}
        <div className="grid grid-cols-2 gap-x-8 max-md:grid-cols-1">
          <TextField label="Wood" value={draft.commonName} onCommit={(commonName) => change({ commonName })} />
          <TextField
            label="Botanical name"
            value={draft.botanicalName}
            onCommit={(botanicalName) => change({ botanicalName })}
          />
          <div>
            <NumberField
              label="Radial shrinkage"
              unit="%"
              value={draft.shrinkageRadial}
              least={0.5}
              most={20}
              step={0.1}
              allowEmpty="not known"
              onCommit={shrinks('Radial')}
              onEmpty={() => change({ shrinkageRadial: null })}
              hint="Green to oven-dry; sets the coefficient below."
            />
            <NumberField
              label="Tangential shrinkage"
              unit="%"
              value={draft.shrinkageTangential}
              least={0.5}
              most={25}
              step={0.1}
              allowEmpty="not known"
              onCommit={shrinks('Tangential')}
              onEmpty={() => change({ shrinkageTangential: null })}
            />
            <NumberField
              label="Coefficient, radial"
              value={draft.coefficientRadial}
              least={0.0002}
              most={0.008}
              step={0.00001}
              onCommit={(coefficientRadial) => change({ coefficientRadial })}
              hint="Of the width, per % of moisture; differential swelling in % per % is a hundred times that."
            />
            <NumberField
              label="Coefficient, tangential"
              value={draft.coefficientTangential}
              least={0.0003}
              most={0.01}
              step={0.00001}
              onCommit={(coefficientTangential) => change({ coefficientTangential })}
            />
            <NumberField
              label="Fibre saturation"
              unit="%"
              value={draft.fibreSaturation}
              least={15}
              most={40}
              onCommit={(fibreSaturation) => change({ fibreSaturation })}
            />
          </div>
          <div>
            <NumberField
              label="Specific gravity at 12"
              unit="%"
              value={draft.specificGravity}
              least={0.1}
              most={1.4}
              step={0.01}
              onCommit={(specificGravity) => change({ specificGravity })}
            />
            <NumberField
              label="Stiffness, MPa"
              value={draft.modulusOfElasticity}
              least={1000}
              most={30000}
              step={100}
              onCommit={(modulusOfElasticity) => change({ modulusOfElasticity })}
            />
            <NumberField
              label="Strength in bending, MPa"
              value={draft.modulusOfRupture}
              least={10}
              most={300}
              onCommit={(modulusOfRupture) => change({ modulusOfRupture })}
            />
            <Choice
              label="It is a"
              value={draft.kind}
              onCommit={(kind) => change({ kind })}
              options={[
                { value: 'hardwood', label: 'Hardwood' },
                { value: 'softwood', label: 'Softwood' },
              ]}
            />
            <Choice
              label="Outdoors it lasts"
              value={draft.outdoorDurability}
              onCommit={(outdoorDurability) => change({ outdoorDurability })}
              options={[
                { value: 'low', label: 'Little' },
                { value: 'moderate', label: 'Some' },
                { value: 'high', label: 'Long' },
              ]}
            />
          </div>
        </div>
        <TextField
          label="Source of these values"
          value={draft.sourceNote}
          onCommit={(sourceNote) => change({ sourceNote })}
        />
        <div className="mt-3 flex gap-3">
          <Button look="chief" type="submit">
            Save the wood
          </Button>
          <Button look="quiet" onClick={onClose}>
            Close
          </Button>
        </div>
      </Form>
    </Dialog>
  );
}
