import type { TopOutline } from '../../../decision/top-shapes';
import { curvedOutline, type Outline, ovalOutline, rectangleOutline, regularOutline } from '../../../solid/outline';
import type { TopSize } from '../../plans';

/** The outline of a top of a size, its middle over the middle of the piece. */
export function outlineOfTop(
  kind: TopOutline,
  { length, width }: Pick<TopSize, 'length' | 'width'>,
  smooth?: number,
): Outline {
  switch (kind.kind) {
    case 'rectangle':
      return rectangleOutline(length, width);
    case 'curved':
      return curvedOutline(length, width, Math.min(kind.side, width / 2 - 1), Math.min(kind.end, length / 2 - 1));
    case 'round':
    case 'oval':
      return ovalOutline(length, width, smooth);
    case 'polygon':
      return stretched(regularOutline(kind.sides, width), length);
  }
}

/** A regular outline whose length was cut other than it was drawn. */
function stretched(outline: Outline, length: number): Outline {
  const reach = Math.max(...outline.map(({ at }) => at[0]));
  const ratio = length / 2 / reach;
  return outline.map((corner) => ({ ...corner, at: [corner.at[0] * ratio, corner.at[1]] }));
}
