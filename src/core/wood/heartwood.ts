import type { Species } from './species';

/** How dark heartwood is to the eye, from pale to dark. */
export type Tone = 0 | 1 | 2 | 3;

/** By genus, or by both names where a genus has several; what is not named is pale. Common practice. */
const TONES: Readonly<Record<string, Tone>> = {
  'Juglans nigra': 3,
  Juglans: 2,
  Swietenia: 2,
  Tectona: 2,
  Prunus: 2,
  Sequoia: 2,
  Juniperus: 2,
  'Thuja plicata': 2,
  Carya: 1,
  Castanea: 1,
  Larix: 1,
  Liquidambar: 1,
  Pseudotsuga: 1,
  Quercus: 1,
  Robinia: 1,
  Taxodium: 1,
  Ulmus: 1,
};

/** How dark a wood is drawn beside another. */
export const heartwoodTone = ({ botanicalName }: Pick<Species, 'botanicalName'>): Tone => {
  const [genus = ''] = botanicalName.split(' ');
  return TONES[botanicalName] ?? TONES[genus] ?? 0;
};

/** Tones of several woods drawn beside each other: as they are, but never two alike. */
export function tonesOf(woods: readonly Species[]): ReadonlyMap<string, Tone> {
  const tones = new Map<string, Tone>();
  const taken = () => [...tones.values()];
  for (const wood of woods) {
    if (tones.has(wood.id)) continue;
    const own = heartwoodTone(wood);
    const free = ([own, own + 1, own - 1, own + 2, own - 2, own + 3, own - 3] as Tone[]).find(
      (tone) => tone >= 0 && tone <= 3 && !taken().includes(tone),
    );
    tones.set(wood.id, free ?? own);
  }
  return tones;
}
