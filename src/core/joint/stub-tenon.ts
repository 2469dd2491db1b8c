import { glued, type Point, type Tie } from '../restraint/tie';

/**
 * A stub tenon of a cross rail into the inside of an apron: half the apron's thickness deep, so that at least as much
 * stays behind it (common practice). mm.
 */
export function stubTenonLength(apronThickness: number): number {
  return Math.floor(apronThickness / 2);
}

/** A stub tenon glued across the apron's face: its height lies along the apron's own height, so both move alike. */
export function stubTies(given: {
  apron: { id: string; name: string };
  rail: { id: string; name: string };
  at: Point;
  tenonWidth: number;
}): Tie[] {
  const { apron, rail, at, tenonWidth } = given;
  return glued(
    { id: `${apron.id}/${rail.id}`, name: `${rail.name} in ${apron.name.toLowerCase()}`, a: apron.id, b: rail.id, at },
    { z: tenonWidth },
  );
}
