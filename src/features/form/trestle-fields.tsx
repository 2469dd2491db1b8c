'use client';

import { Choice, NumberField } from '@/ui/fields';
import { useChange, useDecisions } from '../job/job-context';
import { LengthRows } from './length-rows';

/** Feet, posts, bearers and the stretcher of a trestle. */
export function TrestleFields() {
  const base = useDecisions((own) => own.form.base);
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
      <Choice
        label="Buttresses along the table"
        value={base.buttresses ? 'both' : 'none'}
        options={[
          { value: 'none', label: 'None' },
          {
            value: 'both',
            label: 'At 45°',
            reason: 'From each post down to the stretcher: the table stands against a push from its end.',
          },
        ]}
        onCommit={(kind) =>
          change('form.base.buttresses')(kind === 'none' ? null : { width: 45, thickness: 30, reach: 160 })
        }
      />
      <LengthRows
        rows={[
          { label: 'Buttress, wide', path: 'form.base.buttresses.width', least: 25, most: 150 },
          { label: 'Buttress, thick', path: 'form.base.buttresses.thickness', least: 12, most: 100 },
          {
            label: 'Buttress, from the corner',
            path: 'form.base.buttresses.reach',
            least: 60,
            most: 500,
            hint: 'Corner of post and stretcher to its middle, on both.',
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
