import { cutSteps, type Layout, sawStep, sayCut, sayFreed } from '@/core';
import { Length, useUnits } from '@/ui/units';
import { useWood } from './use-wood';

/** The saw cuts of every board in their order: what lies on the saw, how it is set, what comes free. */
export function CutsTable({ layout }: { layout: Layout }) {
  const { boards, demand, layoutOptions, labelOf } = useWood();
  const units = useUnits();
  // A fence is set by the rule that is in hand, whichever the sizes were decided in.
  const steps = cutSteps(layout, boards, demand, { ...layoutOptions, step: sawStep(units.system) });
  return (
    <table className="mt-2 w-full">
      <caption className="pb-2 text-left text-ink-2">
        Twisted or hollow stock never goes on the table saw as it is: flatten one face and straighten one edge first.
        Guard, riving knife and push stick in place.
      </caption>
      <thead>
        <tr className="border-ink border-b text-left">
          <th className="py-1">Board</th>
          <th className="text-right">Cut</th>
          <th className="pl-4">At the saw</th>
          <th className="text-right">In hand</th>
          <th className="pl-4">Comes free</th>
        </tr>
      </thead>
      <tbody>
        {steps.map((step) => (
          <tr
            key={`${step.board}${step.number}`}
            className={step.number === 1 ? 'border-line border-t' : 'border-hairline border-t'}
          >
            <td className="py-1 font-semibold">{step.number === 1 ? step.tag : ''}</td>
            <td className="figures text-right">{step.number}</td>
            <td className="figures pl-4">{sayCut(step, units.style)}</td>
            <td className="text-right">
              <Length mm={step.from.length} /> × <Length mm={step.from.width} />
            </td>
            <td className="pl-4 font-semibold">{sayFreed(step, labelOf)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
