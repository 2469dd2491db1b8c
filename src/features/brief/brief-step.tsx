'use client';

import {
  BEHIND_CHAIR,
  EDGE_ON_BENCH,
  EDGE_PER_CHAIR,
  EDGE_PER_CHAIR_TIGHT,
  inRoundFigures,
  isSatAllRound,
  KNEE_HEIGHT,
  topForBrief,
  writeRule,
} from '@/core';
import { Button } from '@/ui/button';
import { DayField } from '@/ui/day-field';
import { Choice, LengthField, TextField } from '@/ui/fields';
import { FigureLine } from '@/ui/figure';
import { Length, useUnits } from '@/ui/units';
import { DecisionFigure } from '../job/decision-figure';
import { useChange, useChanges, useDecisions, useDerived, useJobInputs } from '../job/job-context';
import { StepFrame } from '../job/job-desk';
import { RoomDrawing } from './room-drawing';

export function BriefStep() {
  const { piece } = useDerived();
  const document = useDecisions((own) => own);
  const change = useChange();
  const { brief } = document;
  return (
    <StepFrame
      step="brief"
      title="Brief"
      lead={
        piece.build === 'case' ? 'What it is for, in what room, by when.' : 'Who sits there, in what room, by when.'
      }
      tools={<SpotTools />}
      drawing={<RoomDrawing />}
    >
      <TextField label="Job" value={document.name} onCommit={change('name')} required />
      <TextField label="Client" value={document.client} onCommit={change('client')} />
      <Sitters />
      <DecisionFigure at="brief.door.width" label="Door, wide" />
      <DecisionFigure at="brief.door.height" label="Door, high" />
      <WayToTheRoom />
      <DayField label="Due" value={brief.dueOn} onCommit={change('brief.dueOn')} />
      <TextField label="Note" value={brief.note} long onCommit={change('brief.note')} />
      {document.use === 'dining' && document.form.build === 'table' && !isSatAllRound(document.form.top) ? (
        <TopForBrief now={document.form.top} />
      ) : null}
    </StepFrame>
  );
}

/** What is met on the way: a landing, or a passage that turns off another. */
function WayToTheRoom() {
  const corner = useDecisions(({ brief }) => brief.corner);
  const change = useChange();
  return (
    <>
      <Choice
        label="Way to it"
        value={corner ? 'corner' : 'straight'}
        onCommit={(way) => change('brief.corner')(way === 'corner' ? USUAL_CORNER : null)}
        options={[
          { value: 'straight', label: 'Straight' },
          { value: 'corner', label: 'Round a corner' },
        ]}
      />
      {corner ? (
        <>
          <DecisionFigure at="brief.corner.before" label="Before the corner, wide" />
          <DecisionFigure at="brief.corner.after" label="After it, wide" />
          <DecisionFigure at="brief.corner.high" label="Free height there" />
        </>
      ) : null}
    </>
  );
}

/** A stair of a house, and the landing that it comes up to, mm; common practice. */
const USUAL_CORNER = { before: 900, after: 900, high: 2200 };

/** The room, and where a table is among what is built, who sits at it. */
function Sitters() {
  const { brief } = useDecisions((own) => own);
  const { document: job } = useJobInputs();
  const change = useChange();
  const { style } = useUnits();
  const rule = (mm: number) => writeRule(mm, style);
  const tables = job.pieces.some(({ form }) => form.build === 'table');
  const room = (
    <>
      <DecisionFigure at="brief.room.length" label="Room, long" />
      <DecisionFigure at="brief.room.width" label="Room, wide" />
    </>
  );
  if (!tables) return room;
  return (
    <>
      <DecisionFigure at="brief.seats" label="Seats" />
      <Choice
        label="They sit on"
        value={brief.seating}
        onCommit={change('brief.seating')}
        options={[
          {
            value: 'chairs',
            label: 'Chairs',
            reason: `${rule(EDGE_PER_CHAIR)} of edge a chair; ${rule(EDGE_PER_CHAIR_TIGHT)} is tight.`,
          },
          { value: 'benches', label: 'Benches', reason: `${rule(EDGE_ON_BENCH)} of edge a person.` },
        ]}
      />
      {room}
      <Choice
        label="Behind the chairs"
        value={brief.behindChairs}
        onCommit={change('brief.behindChairs')}
        options={[
          { value: 'wall', label: 'A wall', reason: `${rule(BEHIND_CHAIR.wall)} from table to wall.` },
          {
            value: 'passing',
            label: 'People pass',
            reason: `${rule(BEHIND_CHAIR.passing)}, so that somebody gets by.`,
          },
        ]}
      />
      <LengthField
        label="Free for knees"
        hint={`From the floor, for tall sitters or a wheelchair; ${rule(KNEE_HEIGHT)} where nothing is asked.`}
        mm={brief.kneeRoom ?? KNEE_HEIGHT}
        least={400}
        most={900}
        onCommit={(mm) => change('brief.kneeRoom')(Math.abs(mm - KNEE_HEIGHT) < 0.1 ? null : mm)}
      />
    </>
  );
}

/** The top that the brief asks for, and the way to it. */
function TopForBrief({ now }: { now: { length: number; width: number } }) {
  const { figures } = useDerived();
  const { brief } = useDecisions((own) => own);
  const changeAll = useChanges();
  const { style } = useUnits();
  const top = inRoundFigures(topForBrief(brief, now.length > now.width * 1.2 ? 'long' : 'by-seats'), style.system);
  const fits = Math.abs(top.length - now.length) < 0.1 && Math.abs(top.width - now.width) < 0.1;
  return (
    <>
      <FigureLine label="Seats at ease" figure={figures['seats-at-ease']} />
      <FigureLine label="Top for this brief" figure={figures['proposed-length']}>
        <Length mm={top.length} /> × <Length mm={top.width} />
      </FigureLine>
      {fits ? null : (
        <Button
          className="mt-2"
          onClick={() =>
            changeAll([
              { path: 'form.top.length', value: top.length },
              { path: 'form.top.width', value: top.width },
            ])
          }
        >
          Make the top <Length mm={top.length} /> × <Length mm={top.width} />
        </Button>
      )}
    </>
  );
}

/** Turns the piece that is looked at where it stands, or gives it back a place that is found for it. */
function SpotTools() {
  const { job, pieceId, instance } = useDerived();
  const change = useChange();
  const standing = job.standings.find((own) => own.pieceId === pieceId && own.instance === instance);
  if (!standing) return null;
  const { spot, chosen, title, stacked, beside } = standing;
  if (beside) return <span className="text-ink-2">It moves with the case at its left.</span>;
  if (stacked) return <span className="text-ink-2">It moves with the case below.</span>;
  return (
    <span className="flex items-center gap-2">
      <span className="text-ink-2 max-lg:hidden">Drag it, or move it by the arrows.</span>
      <Button
        aria-label={`Turn ${title} by a quarter`}
        onClick={() => change(`spots.${instance}`)({ ...spot, turn: (spot.turn + 90) % 360 })}
      >
        Turn
      </Button>
      <Button disabled={!chosen} onClick={() => change(`spots.${instance}`)(null)}>
        Find it a place
      </Button>
    </span>
  );
}
