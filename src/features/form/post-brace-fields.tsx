'use client';

import { Choice, NumberField } from '@/ui/fields';
import { useChange, useDecisions } from '../job/job-context';
import { LengthRows } from './length-rows';

/** Square posts, their feet and bearers, top rails, braces and the stringer. */
export function PostBraceFields() {
  const base = useDecisions((own) => own.form.base);
  const change = useChange();
  if (base.kind !== 'post-brace') return null;
  return (
    <>
      <LengthRows
        rows={[
          { label: 'Post, square', path: 'form.base.post.section', least: 50, most: 250 },
          { label: 'Foot, high', path: 'form.base.foot.height', least: 40, most: 250 },
          { label: 'Foot, thick', path: 'form.base.foot.thickness', least: 40, most: 300 },
        ]}
      />
      <NumberField
        label="Posts, of so many boards"
        value={base.post.staves}
        least={1}
        most={6}
        onCommit={change('form.base.post.staves')}
        hint="Glued face to face; 1 for one blank."
      />
      <NumberField
        label="Feet, of so many boards"
        value={base.foot.staves}
        least={1}
        most={6}
        onCommit={change('form.base.foot.staves')}
      />
      <LengthRows
        rows={[
          { label: 'Bearer, high', path: 'form.base.bearer.height', least: 40, most: 250 },
          { label: 'Bearer, thick', path: 'form.base.bearer.thickness', least: 30, most: 250 },
          { label: 'Bearer ends short of the foot by', path: 'form.base.bearer.shorter', least: 0, most: 800 },
          { label: 'Top rail, wide', path: 'form.base.rails.width', least: 40, most: 250 },
          { label: 'Top rail, thick', path: 'form.base.rails.thickness', least: 18, most: 120 },
          {
            label: 'Top rails, apart',
            path: 'form.base.rails.apart',
            least: 100,
            most: 2000,
            hint: 'Middle to middle; dovetailed into the bearers from above.',
          },
          { label: 'Stringer, high', path: 'form.base.stringer.height', least: 40, most: 350 },
          { label: 'Stringer, thick', path: 'form.base.stringer.thickness', least: 18, most: 150 },
          { label: 'Stringer, floor to its middle', path: 'form.base.stringer.at', least: 60, most: 1300 },
        ]}
      />
      <Choice
        label="Stringer in the posts"
        value={base.stringer.hold}
        options={[
          {
            value: 'wedge',
            label: 'Wedged down',
            reason: 'Through, dovetailed below, kept down by a loose wedge: comes apart.',
          },
          { value: 'pegs', label: 'Pegged', reason: 'Three quarters into the post, drawn home by pegs.' },
        ]}
        onCommit={change('form.base.stringer.hold')}
      />
      <Choice
        label="Braces at 45°"
        value={base.braces.way}
        options={[
          { value: 'across', label: 'To the bearers', reason: 'Across the table, with plain shoulders.' },
          {
            value: 'diagonal',
            label: 'To the top rails',
            reason: 'Along and across at once: they hold against a push from the end, their shoulders askew both ways.',
          },
        ]}
        onCommit={change('form.base.braces.way')}
      />
      <LengthRows
        rows={[
          { label: 'Brace, wide', path: 'form.base.braces.width', least: 25, most: 150 },
          { label: 'Brace, thick', path: 'form.base.braces.thickness', least: 15, most: 100 },
          ...(base.braces.way === 'across'
            ? [
                {
                  label: 'Brace, from the corner',
                  path: 'form.base.braces.reach',
                  least: 60,
                  most: 600,
                  hint: 'Corner of post and bearer to the brace’s middle, on both.',
                },
              ]
            : []),
        ]}
      />
    </>
  );
}
