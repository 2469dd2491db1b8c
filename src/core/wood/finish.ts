import type { FaceCoefficients } from './diffusion';

/** Bare wood's surface coefficient, m/s: moving indoor air, about 1·10⁻⁷ (typical; from memory of drying literature). */
export const BARE_FACE = 1e-7;

export type FinishKind = 'none' | 'wax' | 'oil' | 'lacquer' | 'shellac' | 'varnish' | 'epoxy';
export type CoatedFaces = 'both' | 'show' | 'neither';

export interface Finish {
  name: string;
  /** Moisture-excluding effectiveness: % of the uncoated wood's gain kept out after 1, 7 and 14 days. */
  excluding: readonly [number, number, number] | null;
  /** m/s through the finished face, fitted to `excluding` by {@link fitFinish}; `docs/methods.md` has what is left over. */
  coefficient: number;
}

/**
 * Finishes of the Wood Handbook ch. 16, table of moisture-excluding effectiveness (values from memory of it): 90 % RH at
 * 26.7 °C, wood first at 30 %. One coefficient cannot follow three figures; how far it misses stands in the methods.
 */
export const FINISHES: Record<FinishKind, Finish> = {
  none: { name: 'None, bare wood', excluding: null, coefficient: BARE_FACE },
  wax: { name: 'Paste wax, one coat', excluding: [6, 0, 0], coefficient: 8.8e-8 },
  oil: { name: 'Linseed oil, three coats', excluding: [33, 2, 0], coefficient: 4.9e-8 },
  lacquer: { name: 'Lacquer, three coats', excluding: [73, 26, 10], coefficient: 1.44e-8 },
  shellac: { name: 'Shellac, three coats', excluding: [91, 64, 42], coefficient: 4.67e-9 },
  varnish: { name: 'Varnish, three coats', excluding: [90, 64, 44], coefficient: 4.53e-9 },
  epoxy: { name: 'Epoxy sealer, two coats', excluding: [91, 78, 70], coefficient: 2.13e-9 },
};

/** The upper (show) and the lower face of a board under a finish; what is not coated is bare. */
export function facesOf(finish: FinishKind, coated: CoatedFaces): FaceCoefficients {
  const { coefficient } = FINISHES[finish];
  return {
    upper: coated === 'neither' ? BARE_FACE : coefficient,
    lower: coated === 'both' ? coefficient : BARE_FACE,
  };
}
