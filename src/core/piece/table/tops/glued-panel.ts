import type { Bench, TopOf } from '../../../decision/job-document';
import { squareFrame } from '../../../solid/frame';
import type { TopPlan, TopSize } from '../../piece';
import { drawnSize, measured } from '../../settle-locks';
import { cutOutsIn } from './cut-outs';
import { COARSE, outlineOfTop, solidOfTop } from './outline';

/** As it is cut where its real size is entered, else as it is drawn. */
export function gluedPanelSize(form: TopOf<'glued-panel'>, bench: Bench): TopSize {
  const drawn = drawnSize(form);
  return {
    length: measured(bench, ['top'], 'length') ?? drawn.length,
    width: measured(bench, ['top'], 'width') ?? drawn.width,
    thickness: measured(bench, ['top'], 'thickness') ?? form.thickness,
  };
}

/** One panel of strips glued edge to edge, of any outline. */
export function gluedPanelTop(form: TopOf<'glued-panel'>, size: TopSize, underside: number): TopPlan {
  const outline = outlineOfTop(form.outline, size);
  const plain = form.outline.kind === 'rectangle' && form.edge.kind === 'square';
  return {
    drafts: [
      {
        id: 'top',
        name: 'Top',
        kind: 'top',
        grade: 'one-face',
        size,
        frame: squareFrame([0, 0, underside + size.thickness / 2], { length: 'x', width: 'y', thickness: 'z' }),
        ...(plain ? {} : { body: [solidOfTop(outlineOfTop(form.outline, size, COARSE), size.thickness, form.edge)] }),
      },
    ],
    joints: [],
    outline,
    size,
    leading: 'top',
    ...cutOutsIn('top', form.cutOuts, size, underside),
    fittings: [],
    problems: [],
  };
}
