import { directionInPart, type Frame } from '../../../solid/frame';
import type { Vec } from '../../../solid/vector';
import type { EndCuts } from '../../part';

const degrees = (radians: number) => (radians * 180) / Math.PI;

/**
 * How a saw is set for an end that lies in a plane: the mitre turned in the part's face, the bevel tilted through its
 * thickness, so that the plane's normal in the part's axes is (cos M·cos B, sin M·cos B, sin B). Degrees from square.
 */
export function endCut(frame: Frame, normal: Vec): EndCuts['start'] {
  const [l, w, t] = directionInPart(frame, normal);
  return { mitre: degrees(Math.atan2(Math.abs(w), Math.abs(l))), bevel: degrees(Math.asin(Math.min(1, Math.abs(t)))) };
}
