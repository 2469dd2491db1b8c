import type { JointKind } from '../joint/joint';

/** How the corners of a case are made, and of a chest; hours for each of them (common practice). */
export const CORNERS: Partial<Record<JointKind, { ofCase: string; ofChest: string; hours: number; caution: string }>> =
  {
    'twin-tenon': {
      ofCase:
        'Mortise the legs for the shelf and the top for the legs with one fence; saw the twin tenons and fit each by hand',
      ofChest:
        'Mortise the legs for the shelf and the top for the legs with one fence; saw the twin tenons and fit each by hand',
      hours: 0.6,
      caution: 'Back the top up where a cutter comes through. A tight tenon splits a leg.',
    },
    'case-dovetails': {
      ofCase: 'Cut the tails of both sides, mark top and bottom from them, cut the pins',
      ofChest: 'Cut the tails of both ends, mark front and back wall from them, cut the pins',
      hours: 0.9,
      caution: 'Number the corners. Chop from both faces; hold the work, never steady it with a hand before the edge.',
    },
    'half-blind-dovetails': {
      ofCase: 'Cut the tails of both sides, mark the sockets of top and bottom from them, chop them against the lap',
      ofChest: 'Cut the tails of both ends, mark the sockets of the walls from them, chop them against the lap',
      hours: 1.3,
      caution: 'Number the corners. Pare the last shavings before the lap.',
    },
    'box-joint': {
      ofCase: 'Cut the fingers of all corners with one setting of the jig',
      ofChest: 'Cut the fingers of all corners with one setting of the jig',
      hours: 0.4,
      caution: 'Try the jig in scrap. Back the work up; hands clear of the cutter’s side.',
    },
    'mitre-spline': {
      ofCase: 'Saw the mitres and the grooves for their splines; splines with their grain across',
      ofChest: 'Saw the mitres and the grooves for their splines; splines with their grain across',
      hours: 0.6,
      caution: 'Blade at 45°, tried in scrap: an error is doubled at every corner.',
    },
    'case-dowels': {
      ofCase: 'Bore ends and faces for the dowels with one jig',
      ofChest: 'Bore ends and faces for the dowels with one jig',
      hours: 0.4,
      caution: 'A stop on the bit: it must not come through the outer face.',
    },
    'case-loose-tenons': {
      ofCase: 'Mortise ends and faces for the loose tenons from the front edges',
      ofChest: 'Mortise ends and faces for the loose tenons from the upper edges',
      hours: 0.5,
      caution: 'Clamp the work; both hands on the machine.',
    },
    'case-screws': {
      ofCase: 'Bore for plugs and screws with the case clamped together dry',
      ofChest: 'Bore for plugs and screws with the walls clamped together dry',
      hours: 0.3,
      caution: 'Bore for every screw; end grain splits.',
    },
  };
