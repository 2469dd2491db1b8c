import type { LengthStyle, Shop } from '@/core';

/** How lengths are written in this shop. */
export function styleOf(shop: Shop): LengthStyle {
  return shop.units === 'metric' ? { system: 'metric' } : { system: 'inch', fraction: shop.fraction };
}
