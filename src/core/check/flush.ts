import { movement, say } from '../measure/quantity';
import { findPart } from '../piece/piece';
import { sizeAt } from '../season/size-at';
import { type Check, judge, type TableContext } from './check';

/**
 * Surfaces meant to lie flush, or set back by little: the leg's section and the apron's thickness move differently, so
 * that the step between them changes through the year.
 */
export function stepAtTheLegs({ document, piece, season }: TableContext): Check[] {
  const [leg, apron] = [findPart(piece, 'leg-front-left'), findPart(piece, 'apron-front')];
  if (!leg || !apron) return [];
  const { base } = document.form;
  if (base.kind !== 'leg-apron') return [];
  const { reveal } = base.apron;
  // The tenon holds the apron in the middle of its thickness; from there both faces go outward.
  const stepAt = (moisture: number) => {
    const fromTenon = leg.size.width / 2 - reveal - apron.size.thickness / 2;
    const legFace =
      (sizeAt(leg, season, moisture).width / leg.size.width) * (fromTenon + reveal + apron.size.thickness / 2);
    const apronFace =
      (sizeAt(leg, season, moisture).width / leg.size.width) * fromTenon +
      sizeAt(apron, season, moisture).thickness / 2;
    return legFace - apronFace;
  };
  const steps = [season.glued, season.driest, season.wettest].map((day) => stepAt(day.moisture));
  const change = Math.max(...steps) - Math.min(...steps);
  const least = Math.min(...steps);
  const level = judge(least, 0, { sense: 'at-least', watchFrom: 0.2 }) === 'good' ? 'good' : 'watch';
  return [
    {
      id: 'season.step-at-legs',
      step: 'season',
      level,
      sentence:
        level === 'good'
          ? say`The step between leg and apron stays between ${movement(least)} and ${movement(Math.max(...steps))}.`
          : say`Leg and apron are to lie flush, but the step between them changes by ${movement(change)} through the year.`,
      value: movement(least),
      limit: movement(0),
      where: [leg.id, apron.id],
      why: 'Two parts of unlike thickness swell unlike: a flush joint is felt within the year. A reveal hides it.',
      school: 'Reveal of about 5 mm, common practice',
      ...(level === 'good'
        ? {}
        : {
            wayOut: {
              say: say`Set the apron back ${movement(5)}`,
              changes: [{ path: 'form.base.apron.reveal', value: 5 }],
            },
          }),
    },
  ];
}
