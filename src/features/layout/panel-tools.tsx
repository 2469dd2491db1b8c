'use client';

import {
  clearanceFigure,
  freeHeightFigure,
  partnerOf,
  plusDays,
  RING_SCHOOLS,
  type RingSchool,
  sayDayShort,
  shapeOfTop,
} from '@/core';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/fields';
import { FigureLine } from '@/ui/figure';
import { Length } from '@/ui/units';
import { Group } from '../form/group';
import { DecisionFigure } from '../job/decision-figure';
import { useChange, useDecisions, useDerived, useShownDay } from '../job/job-context';
import type { PanelHands } from './use-panel';
import { WhichPanel } from './which-panel';

/** What can be done with the strips: all at once by a school or by their match, or the one in hand. */
export function PanelTools({ hands }: { hands: PanelHands }) {
  const { figures, season, piece } = useDerived();
  const { panel, panels, place, lookAt } = hands;
  const { demand, laid, trim, inSeason } = panel;
  const { ringSchool } = useDecisions((own) => own.season);
  const { jointMargin, laid: choices } = useDecisions((own) => own.layout);
  const _change = useChange();
  const { index, moisture } = useShownDay();
  const strip = laid.find((s) => s.label === hands.chosen);
  const partner = strip ? partnerOf(laid, strip) : undefined;
  const book = demand.pairs === 'book';
  const { thickness } = demand.finished;
  const at = { moisture, slope: season.line.slope[index] ?? 0 };
  const own = { ...season, strips: inSeason };
  const shape = shapeOfTop(own, thickness, at, 'as laid');
  const turned = choices.some((choice) => choice.heartUp !== null);
  const which = <WhichPanel panels={panels} panel={panel} onPanel={lookAt} />;
  if (laid.length === 0) return which;
  return (
    <>
      {which}
      <Group
        title={
          strip
            ? `${partner ? `Pair ${strip.label} and ${partner.label}` : `Strip ${strip.label}`}, from ${strip.board.tag}`
            : 'No strip in hand'
        }
      >
        {strip ? (
          <p className="flex flex-wrap gap-2">
            <Button onClick={() => hands.turnOver(strip)}>Turn over</Button>
            <Button onClick={() => hands.endForEnd(strip)}>End for end</Button>
            {partner ? (
              <Button onClick={() => hands.move(strip.label, partner.label)}>Join at the other edge</Button>
            ) : null}
          </p>
        ) : (
          <p className="text-ink-2">Choose one in the drawing to turn it over (t) or end for end (e).</p>
        )}
      </Group>
      <Group title="All strips">
        {book ? (
          <p className="mb-2 text-ink-2">A book turns its rings about by itself, leaf by leaf.</p>
        ) : (
          <Choice
            label="Rings"
            value={ringSchool}
            onCommit={(school: RingSchool) => {
              hands.laySchool(school);
              return undefined;
            }}
            options={(Object.keys(RING_SCHOOLS) as RingSchool[]).map((school) => ({
              value: school,
              label: RING_SCHOOLS[school].name,
              reason: RING_SCHOOLS[school].reason,
            }))}
          />
        )}
        {turned ? (
          <Button look="quiet" className="mb-2" onClick={() => hands.laySchool(ringSchool)}>
            Lay all by the school again
          </Button>
        ) : null}
        <p className="mb-2 flex flex-wrap gap-2">
          <Button onClick={hands.best}>Find the best order</Button>
          <Button onClick={hands.asSawn} disabled={choices.length === 0}>
            As sawn
          </Button>
        </p>
        <DecisionFigure at="layout.jointMargin" label="Joints off fasteners by" />
      </Group>
      <FigureLine
        label="Joint nearest a fastener"
        figure={
          trim
            ? clearanceFigure(trim, jointMargin, piece.fasteners.filter(({ holds }) => holds === demand.id).length)
            : undefined
        }
      >
        {trim?.clearance === null || !trim ? '–' : <Length mm={trim.clearance} fine />}
      </FigureLine>
      <FigureLine label="Match" figure={figures[`panel-match${place}`]} />
      <FigureLine
        label={`Left free, on ${sayDayShort(plusDays(season.start, index))}`}
        figure={freeHeightFigure(shape, own, at)}
      >
        <Length mm={shape.height} fine /> high
      </FigureLine>
    </>
  );
}
