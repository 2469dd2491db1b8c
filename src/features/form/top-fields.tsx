'use client';

import { type CutOut, type Edge, FLATNESS, startTop, TOPS, type TopKind, type TopOutline } from '@/core';
import { Button } from '@/ui/button';
import { Choice, LengthField, NumberField, Select } from '@/ui/fields';
import { useChange, useDecisions } from '../job/job-context';
import { BreadboardFields } from './breadboard-fields';
import { ChannelFields } from './channel-fields';
import { FramedFields } from './framed-fields';
import { Group } from './group';
import { JoinedFields } from './joined-fields';
import { LeafFields } from './leaf-fields';
import { LengthRows } from './length-rows';
import { LiftFields } from './lift-fields';
import { PiecedFields } from './pieced-fields';

const kinds = Object.entries(TOPS).map(([value, { name }]) => ({ value: value as TopKind, label: name }));

/** The kind of top and its sizes. */
export function TopFields() {
  const top = useDecisions((own) => own.form.top);
  const change = useChange();
  const one = top.kind === 'glued-panel' && ['round', 'polygon'].includes(top.outline.kind);
  return (
    <Group title="Top">
      <Select
        label="Kind of top"
        value={top.kind}
        options={kinds}
        hint={TOPS[top.kind].reason}
        wide
        onCommit={(kind) => change('form.top')(startTop(kind, top))}
      />
      {top.kind === 'glued-panel' ? <OutlineFields outline={top.outline} width={top.width} /> : null}
      <LengthRows
        rows={[
          ...(one
            ? []
            : [
                {
                  label: top.kind === 'extending' ? 'Length, closed' : 'Length',
                  path: 'form.top.length',
                  least: 200,
                  most: 6000,
                },
              ]),
          {
            label: one
              ? top.kind === 'glued-panel' && top.outline.kind === 'round'
                ? 'Diameter'
                : 'Over the flats'
              : 'Width',
            path: 'form.top.width',
            least: 150,
            most: 2500,
          },
          { label: 'Thickness', path: 'form.top.thickness', least: 8, most: 120 },
        ]}
      />
      <OverhangRows />
      {top.kind === 'breadboard' ? <BreadboardFields /> : null}
      {top.kind === 'slatted' ? <SlatFields /> : null}
      {top.kind === 'channel' ? <ChannelFields /> : null}
      {top.kind === 'extending' ? <LeafFields /> : null}
      {top.kind === 'framed' ? <FramedFields /> : null}
      {top.kind === 'halves' ? (
        <NumberField label="Bolts" value={top.bolts} least={2} most={12} onCommit={change('form.top.bolts')} />
      ) : null}
      {top.kind === 'pieced' ? <PiecedFields /> : null}
      {'edge' in top ? <EdgeFields edge={top.edge} thickness={top.thickness} /> : null}
      {'cutOuts' in top ? <FlatFields /> : null}
      {'cutOuts' in top ? <CutOutFields list={top.cutOuts} top={top} /> : null}
      {top.kind === 'glued-panel' ? <LiftFields /> : null}
      <JoinedFields />
    </Group>
  );
}

/** Legs that lean from arms stand where their reach puts them; the others follow from the top's overhang. */
function OverhangRows() {
  const base = useDecisions((own) => own.form.base.kind);
  if (base === 'splayed' || base === 'box') return null;
  return (
    <LengthRows
      rows={[
        { label: 'Overhang, ends', path: 'form.top.endOverhang', least: 0, most: 1500 },
        { label: 'Overhang, sides', path: 'form.top.sideOverhang', least: 0, most: 800 },
      ]}
    />
  );
}

function OutlineFields({ outline, width }: { outline: TopOutline; width: number }) {
  const change = useChange();
  const start = (kind: TopOutline['kind']): TopOutline => {
    switch (kind) {
      case 'curved':
        return { kind, side: Math.round(width / 40), end: Math.round(width / 30) };
      case 'polygon':
        return { kind, sides: 8 };
      default:
        return { kind };
    }
  };
  return (
    <>
      <Select
        label="Seen from above"
        value={outline.kind}
        options={[
          { value: 'rectangle', label: 'Rectangle' },
          { value: 'curved', label: 'Curved sides and ends' },
          { value: 'round', label: 'Round' },
          { value: 'oval', label: 'Oval' },
          { value: 'polygon', label: 'Equal sides' },
        ]}
        onCommit={(kind) => change('form.top.outline')(start(kind))}
        wide
      />
      {outline.kind === 'curved' ? (
        <LengthRows
          rows={[
            {
              label: 'Sides bulge by',
              path: 'form.top.outline.side',
              least: 0,
              most: 400,
              hint: 'The sagitta: how far the middle of the curve stands beyond its ends.',
            },
            { label: 'Ends bulge by', path: 'form.top.outline.end', least: 0, most: 400 },
          ]}
        />
      ) : null}
      {outline.kind === 'polygon' ? (
        <Choice
          label="Sides"
          value={`${outline.sides}`}
          options={[6, 8, 10, 12].map((n) => ({ value: `${n}`, label: `${n}` }))}
          onCommit={(sides) => change('form.top.outline.sides')(Number(sides))}
        />
      ) : null}
    </>
  );
}

function EdgeFields({ edge, thickness }: { edge: Edge; thickness: number }) {
  const change = useChange();
  const start = (kind: Edge['kind']): Edge => {
    switch (kind) {
      case 'square':
        return { kind };
      case 'rounded':
        return { kind, radius: 4 };
      case 'chamfered':
        return { kind, width: 4 };
      case 'thumbnail':
        return { kind, width: Math.round(thickness * 0.6), depth: Math.round(thickness * 0.4) };
      case 'under-bevelled':
        return { kind, width: Math.round(thickness * 2.5), left: Math.max(4, Math.round(thickness * 0.45)) };
    }
  };
  return (
    <>
      <Select
        label="Edges"
        value={edge.kind}
        options={[
          { value: 'square', label: 'Square, arris broken' },
          { value: 'rounded', label: 'Rounded' },
          { value: 'chamfered', label: 'Chamfered' },
          { value: 'thumbnail', label: 'Moulded, a quarter ellipse' },
          { value: 'under-bevelled', label: 'Bevelled from below' },
        ]}
        onCommit={(kind) => change('form.top.edge')(start(kind))}
        wide
      />
      <LengthRows
        rows={[
          { label: 'Radius', path: 'form.top.edge.radius', least: 1, most: 60 },
          {
            label:
              edge.kind === 'under-bevelled'
                ? 'Bevel, in from the edge'
                : edge.kind === 'thumbnail'
                  ? 'Moulding, in from the edge'
                  : 'Chamfer',
            path: 'form.top.edge.width',
            least: edge.kind === 'under-bevelled' ? 5 : 1,
            most: edge.kind === 'under-bevelled' ? 300 : 60,
          },
          { label: 'Moulding, deep', path: 'form.top.edge.depth', least: 2, most: 80 },
          { label: 'Left at the edge', path: 'form.top.edge.left', least: 4, most: 100 },
        ]}
      />
    </>
  );
}

/** What keeps the top flat beside the base. */
function FlatFields() {
  const flat = useDecisions((own) => own.form.flat);
  const change = useChange();
  return (
    <>
      <Choice
        label="Kept flat by"
        value={flat.kind}
        options={Object.entries(FLATNESS).map(([value, { name, reason }]) => ({
          value: value as keyof typeof FLATNESS,
          label: name,
          reason,
        }))}
        onCommit={(kind) =>
          change('form.flat')(
            kind === 'none'
              ? { kind }
              : kind === 'battens'
                ? { kind, count: 2, width: 60, thickness: 22, travel: 8 }
                : { kind, count: 2, width: 38, depth: 12, travel: 8 },
          )
        }
      />
      {flat.kind !== 'none' ? (
        <NumberField
          label={flat.kind === 'battens' ? 'Battens' : 'Channels'}
          value={flat.count}
          least={1}
          most={6}
          onCommit={change('form.flat.count')}
        />
      ) : null}
      <LengthRows
        rows={[
          flat.kind === 'channels'
            ? { label: 'Channel, wide', path: 'form.flat.width', least: 15, most: 120 }
            : { label: 'Batten, wide', path: 'form.flat.width', least: 25, most: 200 },
          { label: 'Channel, deep', path: 'form.flat.depth', least: 6, most: 40 },
          { label: 'Batten, thick', path: 'form.flat.thickness', least: 10, most: 60 },
          { label: 'Slots, travel each way', path: 'form.flat.travel', least: 0, most: 40 },
        ]}
      />
    </>
  );
}

function SlatFields() {
  const top = useDecisions((own) => own.form.top);
  const change = useChange();
  if (top.kind !== 'slatted') return null;
  return (
    <>
      <NumberField label="Slats" value={top.slats} least={2} most={40} onCommit={change('form.top.slats')} />
      <LengthField
        label="Gap between slats"
        mm={top.gap}
        least={1}
        most={60}
        onCommit={change('form.top.gap')}
        hint="On the day it is made; the season step tells what is left of it at the wettest."
      />
    </>
  );
}

/** Holes through the top, each with where its middle stands. */
function CutOutFields({ list, top }: { list: readonly CutOut[]; top: { length: number; width: number } }) {
  const change = useChange();
  const fresh: CutOut = { fromEnd: top.length / 2, fromFront: top.width / 2, length: 120, width: 60 };
  return (
    <div className="mt-2">
      {list.map((_, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a cut-out has no name but its number
        <fieldset key={i} className="mt-1 border-hairline border-b pb-1">
          <legend className="text-ink-2">Cut-out {i + 1}</legend>
          <LengthRows
            rows={[
              { label: 'From the left end', path: `form.top.cutOuts.${i}.fromEnd`, least: 0, most: 6000 },
              { label: 'From the front edge', path: `form.top.cutOuts.${i}.fromFront`, least: 0, most: 2500 },
              { label: 'Along the table', path: `form.top.cutOuts.${i}.length`, least: 10, most: 1000 },
              { label: 'Across it', path: `form.top.cutOuts.${i}.width`, least: 10, most: 600 },
            ]}
          />
          <Button
            look="quiet"
            aria-label={`Take away cut-out ${i + 1}`}
            onClick={() => change('form.top.cutOuts')(list.filter((__, j) => j !== i))}
          >
            Take away
          </Button>
        </fieldset>
      ))}
      <div className="mb-3">
        <Button onClick={() => change('form.top.cutOuts')([...list, fresh])}>Add a cut-out</Button>
      </div>
    </div>
  );
}
