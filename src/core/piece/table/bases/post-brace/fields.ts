import type { FormField } from '../../../../decision/form-field';
import type { PostBrace } from './decisions';

/** Square posts, their feet and bearers, top rails, braces and the stringer, as they are asked. */
export const POST_BRACE_FIELDS: readonly FormField<PostBrace>[] = [
  { ask: 'figure', at: 'post.section', label: 'Post, square' },
  { ask: 'figure', at: 'foot.height', label: 'Foot, high' },
  { ask: 'figure', at: 'foot.thickness', label: 'Foot, thick' },
  {
    ask: 'figure',
    at: 'post.staves',
    label: 'Posts, of so many boards',
    hint: 'Glued face to face; 1 for one blank.',
  },
  { ask: 'figure', at: 'foot.staves', label: 'Feet, of so many boards' },
  { ask: 'figure', at: 'bearer.height', label: 'Bearer, high' },
  { ask: 'figure', at: 'bearer.thickness', label: 'Bearer, thick' },
  { ask: 'figure', at: 'bearer.shorter', label: 'Bearer ends short of the foot by' },
  { ask: 'figure', at: 'rails.width', label: 'Top rail, wide' },
  { ask: 'figure', at: 'rails.thickness', label: 'Top rail, thick' },
  {
    ask: 'figure',
    at: 'rails.apart',
    label: 'Top rails, apart',
    hint: 'Middle to middle; dovetailed into the bearers from above.',
  },
  { ask: 'figure', at: 'stringer.height', label: 'Stringer, high' },
  { ask: 'figure', at: 'stringer.thickness', label: 'Stringer, thick' },
  { ask: 'figure', at: 'stringer.at', label: 'Stringer, floor to its middle' },
  {
    ask: 'choice',
    at: 'stringer.hold',
    label: 'Stringer in the posts',
    options: [
      {
        value: 'wedge',
        label: 'Wedged down',
        reason: 'Through, dovetailed below, kept down by a loose wedge: comes apart.',
      },
      { value: 'pegs', label: 'Pegged', reason: 'Three quarters into the post, drawn home by pegs.' },
    ],
  },
  {
    ask: 'choice',
    at: 'braces.way',
    label: 'Braces at 45°',
    options: [
      { value: 'across', label: 'To the bearers', reason: 'Across the table, with plain shoulders.' },
      {
        value: 'diagonal',
        label: 'To the top rails',
        reason: 'Along and across at once: they hold against a push from the end, their shoulders askew both ways.',
      },
    ],
  },
  { ask: 'figure', at: 'braces.width', label: 'Brace, wide' },
  { ask: 'figure', at: 'braces.thickness', label: 'Brace, thick' },
  {
    ask: 'figure',
    at: 'braces.reach',
    label: 'Brace, from the corner',
    hint: 'Corner of post and bearer to the brace’s middle, on both.',
    when: ({ braces }) => braces.way === 'across',
  },
];
