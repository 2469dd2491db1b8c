'use client';

import { BASES, type BaseKind, LEG_MAKING, startBaseChanges } from '@/core';
import { Choice, LengthField, NumberField, Select } from '@/ui/fields';
import { useChange, useJobState } from '../job/job-context';
import { Group } from './group';
import { LengthRows } from './length-rows';

const kinds = Object.entries(BASES).map(([value, { name }]) => ({ value: value as BaseKind, label: name }));

/** The kind of base and its sizes. */
export function BaseFields() {
  const form = useJobState((state) => state.document.form);
  const changeAll = useJobState((state) => state.change);
  const { base } = form;
  return (
    <Group title="Base">
      <Select
        label="Kind of base"
        value={base.kind}
        options={kinds}
        hint={BASES[base.kind].reason}
        wide
        onCommit={(kind) => changeAll(startBaseChanges(kind, form))}
      />
      <LengthRows rows={[{ label: 'Table height', path: 'form.base.height', least: 150, most: 1400 }]} />
      <Fields kind={base.kind} />
    </Group>
  );
}

/** A new kind of base is one more line here. */
function Fields({ kind }: { kind: BaseKind }) {
  switch (kind) {
    case 'leg-apron':
      return <LegApronFields />;
    case 'trestle':
      return <TrestleFields />;
    case 'x-frame':
      return <XFrameFields />;
    case 'splayed':
      return <SplayedFields />;
    case 'steel':
      return <SteelFields />;
  }
}

function LegApronFields() {
  const base = useJobState((state) => state.document.form.base);
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
                },
          )
        }
      />
      <LengthRows
        rows={[
          { label: 'Foot', path: 'form.base.leg.taper.foot', least: 10, most: 250 },
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
        ]}
        onCommit={(kind) =>
          change('form.base.stretchers')(
            kind === 'none' ? { kind } : { kind, height: 45, thickness: 22, at: Math.round(base.height * 0.2) },
          )
        }
      />
      <LengthRows
        rows={[
          { label: 'Stretchers, high', path: 'form.base.stretchers.height', least: 20, most: 150 },
          { label: 'Stretchers, thick', path: 'form.base.stretchers.thickness', least: 12, most: 80 },
          { label: 'Stretchers, floor to their middle', path: 'form.base.stretchers.at', least: 40, most: 900 },
        ]}
      />
    </>
  );
}

function TrestleFields() {
  const base = useJobState((state) => state.document.form.base);
  const change = useChange();
  if (base.kind !== 'trestle') return null;
  return (
    <>
      <LengthRows
        rows={[
          { label: 'Foot, high', path: 'form.base.foot.height', least: 30, most: 250 },
          { label: 'Foot, thick', path: 'form.base.foot.thickness', least: 20, most: 200 },
          {
            label: 'Foot, hollowed by',
            path: 'form.base.foot.hollow',
            least: 0,
            most: 150,
            hint: 'Underneath, so that it stands on its ends; 0 for flat.',
          },
          {
            label: 'Foot pads',
            path: 'form.base.pads',
            least: 0,
            most: 40,
            hint: 'Let in at both ends of each foot; 0 for none.',
          },
          { label: 'Post, wide', path: 'form.base.post.width', least: 40, most: 300 },
          { label: 'Post, thick', path: 'form.base.post.thickness', least: 20, most: 200 },
          { label: 'Bearer, high', path: 'form.base.bearer.height', least: 25, most: 200 },
          { label: 'Bearer, thick', path: 'form.base.bearer.thickness', least: 20, most: 200 },
          {
            label: 'Bearer ends short of the foot by',
            path: 'form.base.bearer.shorter',
            least: 0,
            most: 800,
          },
        ]}
      />
      <NumberField
        label="Posts, of so many boards"
        value={base.post.staves}
        least={1}
        most={6}
        onCommit={change('form.base.post.staves')}
        hint="Glued face to face where no board is as thick; 1 for one blank."
      />
      <NumberField
        label="Feet, of so many boards"
        value={base.foot.staves}
        least={1}
        most={6}
        onCommit={change('form.base.foot.staves')}
      />
      <NumberField
        label="Tenons side by side"
        value={base.tenons}
        least={1}
        most={3}
        onCommit={change('form.base.tenons')}
      />
      <LengthRows
        rows={[
          { label: 'Stretcher, high', path: 'form.base.stretcher.height', least: 30, most: 300 },
          { label: 'Stretcher, thick', path: 'form.base.stretcher.thickness', least: 15, most: 120 },
          { label: 'Stretcher, floor to its middle', path: 'form.base.stretcher.at', least: 50, most: 1300 },
          {
            label: 'Stretcher, rises by',
            path: 'form.base.stretcher.arch',
            least: 0,
            most: 400,
            hint: 'Arched: its middle above its ends; 0 for straight.',
          },
        ]}
      />
      <Choice
        label="Stretcher in the posts"
        value={base.stretcher.joint}
        options={[
          {
            value: 'wedged',
            label: 'Wedged',
            reason: 'Through, glued, and spread by two wedges across the post’s grain.',
          },
          { value: 'tusk', label: 'Tusk', reason: 'Through and beyond, drawn home by a loose wedge: comes apart.' },
          {
            value: 'bolted',
            label: 'Bolted',
            reason: 'A stub keeps it from turning, a bolt draws it tight: comes apart.',
          },
        ]}
        onCommit={change('form.base.stretcher.joint')}
      />
      <Choice
        label="Braces to the bearers"
        value={base.braces ? 'both' : 'none'}
        options={[
          { value: 'none', label: 'None' },
          {
            value: 'both',
            label: 'At 45°',
            reason: 'Two a trestle: they carry the bearer and keep the post from racking.',
          },
        ]}
        onCommit={(kind) =>
          change('form.base.braces')(kind === 'none' ? null : { width: 50, thickness: 36, reach: 160 })
        }
      />
      <LengthRows
        rows={[
          { label: 'Brace, wide', path: 'form.base.braces.width', least: 25, most: 150 },
          { label: 'Brace, thick', path: 'form.base.braces.thickness', least: 15, most: 100 },
          {
            label: 'Brace, from the corner',
            path: 'form.base.braces.reach',
            least: 60,
            most: 600,
            hint: 'Corner of post and bearer to the brace’s middle, on both.',
          },
        ]}
      />
      {base.stretcher.joint === 'wedged' ? (
        <LengthRows
          rows={[{ label: 'Tenon, proud of the post', path: 'form.base.stretcher.proud', least: 0, most: 100 }]}
        />
      ) : null}
    </>
  );
}

function XFrameFields() {
  return (
    <LengthRows
      rows={[
        { label: 'Leg, wide', path: 'form.base.leg.width', least: 30, most: 250 },
        { label: 'Leg, thick', path: 'form.base.leg.thickness', least: 20, most: 150 },
        { label: 'Over the feet', path: 'form.base.spread.floor', least: 150, most: 2400 },
        { label: 'Over the heads', path: 'form.base.spread.head', least: 100, most: 2400 },
        { label: 'Bearer, high', path: 'form.base.bearer.height', least: 25, most: 200 },
        { label: 'Bearer, thick', path: 'form.base.bearer.thickness', least: 20, most: 200 },
        { label: 'Stretcher, high', path: 'form.base.stretcher.height', least: 30, most: 300 },
        { label: 'Stretcher, thick', path: 'form.base.stretcher.thickness', least: 15, most: 120 },
      ]}
    />
  );
}

function SplayedFields() {
  const base = useJobState((state) => state.document.form.base);
  const change = useChange();
  if (base.kind !== 'splayed') return null;
  return (
    <>
      <NumberField label="Legs" value={base.legs} least={3} most={6} onCommit={change('form.base.legs')} />
      <NumberField
        label="Leaning out by"
        unit="°"
        value={base.lean}
        least={0}
        most={25}
        step={0.5}
        onCommit={change('form.base.lean')}
        hint="5° to 10° is usual."
      />
      <LengthRows
        rows={[
          {
            label: 'Middle to the legs’ outside',
            path: 'form.base.reach',
            least: 100,
            most: 1500,
            hint: 'Under the top; at the floor they stand farther out by their lean.',
          },
          { label: 'Leg, wide', path: 'form.base.leg.width', least: 25, most: 200 },
          { label: 'Leg, thick', path: 'form.base.leg.thickness', least: 20, most: 150 },
          { label: 'Arm, high', path: 'form.base.arm.height', least: 30, most: 200 },
          { label: 'Arm, thick', path: 'form.base.arm.thickness', least: 20, most: 120 },
        ]}
      />
    </>
  );
}

function SteelFields() {
  const base = useJobState((state) => state.document.form.base);
  const change = useChange();
  if (base.kind !== 'steel') return null;
  const legs = base.shape === 'legs';
  return (
    <>
      <Choice
        label="Shape"
        value={base.shape}
        options={[
          {
            value: 'frames',
            label: 'Two frames',
            reason: 'Each under a flat bar across the table: its outer holes are slots.',
          },
          {
            value: 'legs',
            label: 'Four legs',
            reason: 'Each under a plate of its own: nothing ties them to one another.',
          },
        ]}
        onCommit={change('form.base.shape')}
      />
      <LengthRows
        rows={[
          { label: 'Tube, wide', path: 'form.base.tube.width', least: 12, most: 150 },
          { label: 'Tube, its wall', path: 'form.base.tube.wall', least: 1, most: 12 },
          {
            label: legs ? 'Plate, along the table' : 'Bar, wide along the table',
            path: 'form.base.plate.length',
            least: 40,
            most: 500,
          },
          ...(legs ? [{ label: 'Plate, across it', path: 'form.base.plate.width', least: 40, most: 500 }] : []),
          { label: legs ? 'Plate, thick' : 'Bar, thick', path: 'form.base.plate.thickness', least: 2, most: 20 },
          { label: 'Inserts in the top, thick', path: 'form.base.insert', least: 4, most: 25 },
        ]}
      />
      <NumberField
        label={legs ? 'Each leg weighs' : 'Each frame weighs'}
        unit="kg"
        value={base.weight}
        least={0}
        most={80}
        step={0.1}
        onCommit={change('form.base.weight')}
      />
    </>
  );
}
