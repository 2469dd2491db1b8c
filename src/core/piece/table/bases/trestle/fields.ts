import { type FormField, noneOr } from '../../../../decision/form-field';
import type { Trestle } from './decisions';

/** Feet, posts, bearers and the stretcher of a trestle, as they are asked. */
export const TRESTLE_FIELDS: readonly FormField<Trestle>[] = [
  { ask: 'figure', at: 'foot.height', label: 'Foot, high' },
  { ask: 'figure', at: 'foot.thickness', label: 'Foot, thick' },
  {
    ask: 'figure',
    at: 'foot.hollow',
    label: 'Foot, hollowed by',
    hint: 'Underneath, so that it stands on its ends; 0 for flat.',
  },
  { ask: 'figure', at: 'pads', label: 'Foot pads', hint: 'Let in at both ends of each foot; 0 for none.' },
  { ask: 'figure', at: 'post.width', label: 'Post, wide' },
  { ask: 'figure', at: 'post.thickness', label: 'Post, thick' },
  { ask: 'figure', at: 'bearer.height', label: 'Bearer, high' },
  { ask: 'figure', at: 'bearer.thickness', label: 'Bearer, thick' },
  { ask: 'figure', at: 'bearer.shorter', label: 'Bearer ends short of the foot by' },
  {
    ask: 'figure',
    at: 'post.staves',
    label: 'Posts, of so many boards',
    hint: 'Glued face to face where no board is as thick; 1 for one blank.',
  },
  { ask: 'figure', at: 'foot.staves', label: 'Feet, of so many boards' },
  { ask: 'figure', at: 'tenons', label: 'Tenons side by side' },
  { ask: 'figure', at: 'stretcher.height', label: 'Stretcher, high' },
  { ask: 'figure', at: 'stretcher.thickness', label: 'Stretcher, thick' },
  { ask: 'figure', at: 'stretcher.at', label: 'Stretcher, floor to its middle' },
  {
    ask: 'figure',
    at: 'stretcher.arch',
    label: 'Stretcher, rises by',
    hint: 'Arched: its middle above its ends; 0 for straight.',
  },
  {
    ask: 'choice',
    at: 'stretcher.joint',
    label: 'Stretcher in the posts',
    options: [
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
    ],
  },
  {
    ask: 'figure',
    at: 'stretcher.proud',
    label: 'Tenon, proud of the post',
    when: ({ stretcher }) => stretcher.joint === 'wedged',
  },
  {
    at: 'braces',
    label: 'Braces to the bearers',
    ...noneOr<Trestle, Trestle['braces']>(
      ({ braces }) => braces,
      {
        none: 'None',
        some: 'At 45°',
        reason: 'Two a trestle: they carry the bearer and keep the post from racking.',
      },
      () => ({ width: 50, thickness: 36, reach: 160 }),
    ),
  },
  { ask: 'figure', at: 'braces.width', label: 'Brace, wide' },
  { ask: 'figure', at: 'braces.thickness', label: 'Brace, thick' },
  {
    ask: 'figure',
    at: 'braces.reach',
    label: 'Brace, from the corner',
    hint: 'Corner of post and bearer to the brace’s middle, on both.',
  },
  {
    at: 'buttresses',
    label: 'Buttresses along the table',
    ...noneOr<Trestle, Trestle['buttresses']>(
      ({ buttresses }) => buttresses,
      {
        none: 'None',
        some: 'At 45°',
        reason: 'From each post down to the stretcher: the table stands against a push from its end.',
      },
      () => ({ width: 45, thickness: 30, reach: 160 }),
    ),
  },
  { ask: 'figure', at: 'buttresses.width', label: 'Buttress, wide' },
  { ask: 'figure', at: 'buttresses.thickness', label: 'Buttress, thick' },
  {
    ask: 'figure',
    at: 'buttresses.reach',
    label: 'Buttress, from the corner',
    hint: 'Corner of post and stretcher to its middle, on both.',
  },
];
