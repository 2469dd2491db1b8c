'use client';

import { LEG_MAKING } from '@/core';
import { Choice, LengthField, NumberField, Select } from '@/ui/fields';
import { useChange, useDecisions } from '../job/job-context';
import { LengthRows } from './length-rows';

/** A shelf to begin with. */
const SHELF = { boards: 4, boardThickness: 22, gap: 8, load: 200 };

/** Legs, aprons and what stands between them. */
export function LegApronFields() {
  const base = useDecisions((own) => own.form.base);
  const change = useChange();
  if (base.kind !== 'leg-apron') return null;
  const { making, taper } = base.leg;
  return (
    <>
      <LengthRows rows={[{ label: 'Leg', path: 'form.base.leg.section', least: 20, most: 250 }]} />
      <Select
        label="Legs made of"
        value={making.kind}
        options={Object.entries(LEG_MAKING).map(([value, { name }]) => ({
          value: value as keyof typeof LEG_MAKING,
          label: name,
        }))}
        hint={LEG_MAKING[making.kind].reason}
        wide
        onCommit={(kind) =>
          change('form.base.leg.making')(
            kind === 'staves' ? { kind, count: 2 } : kind === 'faced' ? { kind, veneer: 4 } : { kind },
          )
        }
      />
      {making.kind === 'staves' ? (
        <NumberField
          label="Staves"
          value={making.count}
          least={2}
          most={8}
          onCommit={change('form.base.leg.making.count')}
        />
      ) : null}
      {making.kind === 'faced' ? (
        <LengthField
          label="Veneers, thick"
          mm={making.veneer}
          least={1}
          most={12}
          onCommit={change('form.base.leg.making.veneer')}
        />
      ) : null}
      <Choice
        label="Leg shape"
        value={taper.kind === 'straight' ? 'straight' : taper.faces}
        options={[
          { value: 'straight', label: 'Straight' },
          { value: 'inside', label: 'Tapered inside', reason: 'On the two inside faces, from just below the apron.' },
          { value: 'all', label: 'All round', reason: 'On all four faces: the leg stands on its middle.' },
        ]}
        onCommit={(shape) =>
          change('form.base.leg.taper')(
            shape === 'straight'
              ? { kind: 'straight' }
              : {
                  kind: 'tapered',
                  foot: taper.kind === 'tapered' ? taper.foot : Math.max(10, Math.round(base.leg.section * 0.65)),
                  faces: shape,
                  hollow: taper.kind === 'tapered' ? taper.hollow : 0,
                },
          )
        }
      />
      <LengthRows
        rows={[
          { label: 'Foot', path: 'form.base.leg.taper.foot', least: 10, most: 250 },
          {
            label: 'Taper, hollowed by',
            path: 'form.base.leg.taper.hollow',
            least: -60,
            most: 60,
            hint: 'Curved: in its middle behind the straight line; below 0 it is bellied, 0 for straight.',
          },
          { label: 'Apron, high', path: 'form.base.apron.height', least: 20, most: 400 },
          { label: 'Apron, thick', path: 'form.base.apron.thickness', least: 8, most: 80 },
          {
            label: 'Reveal',
            path: 'form.base.apron.reveal',
            least: 0,
            most: 100,
            hint: 'How far the apron stands back from the leg’s face: no flush surface to keep flush.',
          },
          {
            label: 'Lower edge, hollowed by',
            path: 'form.base.apron.arch',
            least: 0,
            most: 200,
            hint: 'In the middle of each apron, for the knees; 0 for straight.',
          },
        ]}
      />
      <NumberField
        label="Cross rails"
        value={base.crossRails}
        least={0}
        most={6}
        onCommit={change('form.base.crossRails')}
      />
      {base.crossRails > 0 ? (
        <Choice
          label="Cross rails in the aprons"
          value={base.railJoint}
          options={[
            { value: 'stub', label: 'Stub tenons', reason: 'Hidden; they go in when the aprons are glued.' },
            {
              value: 'dovetail',
              label: 'Dovetailed',
              reason: 'Dropped in from above after the base is glued: they tie the aprons against bowing out.',
            },
          ]}
          onCommit={change('form.base.railJoint')}
        />
      ) : null}
      <NumberField
        label="Pairs of legs between"
        value={base.midLegs}
        least={0}
        most={2}
        onCommit={change('form.base.midLegs')}
        hint="Under the long aprons of a long table or bench."
      />
      <NumberField
        label="Splayed along the table"
        unit="°"
        value={base.leg.splay.ends}
        least={0}
        most={15}
        step={0.5}
        onCommit={change('form.base.leg.splay.ends')}
        hint="Leaning outward from upright; 0 to 8° is usual."
      />
      <NumberField
        label="Splayed across it"
        unit="°"
        value={base.leg.splay.sides}
        least={0}
        most={15}
        step={0.5}
        onCommit={change('form.base.leg.splay.sides')}
      />
      <Choice
        label="Legs end"
        value={base.leg.through ? 'through' : 'under'}
        options={[
          { value: 'under', label: 'Under the top' },
          {
            value: 'through',
            label: 'Through it',
            reason: 'The top is notched round them and moves past them; their end grain is seen.',
          },
        ]}
        onCommit={(kind) => change('form.base.leg.through')(kind === 'through' ? { room: 6 } : null)}
      />
      <LengthRows
        rows={[
          {
            label: 'Notches, room at both sides',
            path: 'form.base.leg.through.room',
            least: 0,
            most: 30,
            hint: 'Across the grain, on the day it is made.',
          },
        ]}
      />
      <Choice
        label="Corner blocks"
        value={base.cornerBlocks ? 'all' : 'none'}
        options={[
          { value: 'none', label: 'None' },
          {
            value: 'all',
            label: 'In all corners',
            reason: 'Screwed to both aprons and the leg: they take the strain off the joints.',
          },
        ]}
        onCommit={(kind) => change('form.base.cornerBlocks')(kind === 'all')}
      />
      <Choice
        label="Low stretchers"
        value={base.stretchers.kind}
        options={[
          { value: 'none', label: 'None' },
          { value: 'h', label: 'Between the ends', reason: 'One at each end, and one in the middle from end to end.' },
          {
            value: 'shelf',
            label: 'With a shelf',
            reason: 'One at each end, and boards on both: each held in its middle, so that it moves by itself.',
          },
        ]}
        onCommit={(kind) =>
          change('form.base.stretchers')(
            kind === 'none'
              ? { kind }
              : {
                  kind,
                  height: 45,
                  thickness: 22,
                  at: Math.round(base.height * 0.2),
                  ...(kind === 'shelf' ? SHELF : {}),
                },
          )
        }
      />
      <LengthRows
        rows={[
          { label: 'Stretchers, high', path: 'form.base.stretchers.height', least: 20, most: 150 },
          { label: 'Stretchers, thick', path: 'form.base.stretchers.thickness', least: 12, most: 80 },
          { label: 'Stretchers, floor to their middle', path: 'form.base.stretchers.at', least: 40, most: 900 },
          { label: 'Shelf, thick', path: 'form.base.stretchers.boardThickness', least: 8, most: 60 },
          { label: 'Between its boards', path: 'form.base.stretchers.gap', least: 0, most: 40 },
        ]}
      />
      {base.stretchers.kind === 'shelf' ? (
        <>
          <NumberField
            label="Boards of the shelf"
            value={base.stretchers.boards}
            least={1}
            most={12}
            onCommit={change('form.base.stretchers.boards')}
          />
          <NumberField
            label="On the shelf"
            unit="N"
            value={base.stretchers.load}
            least={0}
            most={3000}
            onCommit={change('form.base.stretchers.load')}
            hint="A design load, yours to choose: a row of books is some 200 N a metre."
          />
        </>
      ) : null}
    </>
  );
}
