'use client';

import { useState } from 'react';
import { blankLabel } from '@/core';
import { Button } from '@/ui/button';
import { Choice, LengthField, Select } from '@/ui/fields';
import { useUnits } from '@/ui/units';
import { Group } from '../form/group';
import type { MoveHands } from './use-moves';
import { useWood } from './use-wood';

/** The piece in hand: where exactly it lies, and with what it can change places. */
export function MoveTools({ hands }: { hands: MoveHands }) {
  const { boards, labelOf } = useWood();
  const units = useUnits();
  const { blank } = hands;
  const [refused, refuse] = useState<{ label: string; words: string } | null>(null);
  if (!blank)
    return (
      <p className="mb-2 text-ink-2">
        Drag a piece to another place, or choose it to place it by figures. Ctrl and the wheel zoom.
      </p>
    );
  const label = blankLabel(labelOf, blank);
  return (
    <Group title={`${label}, ${units.length(blank.length)} × ${units.length(blank.width)}`}>
      <Select
        label="On board"
        value={blank.board}
        options={boards
          .filter((board) => board.id === blank.board || board.length >= blank.length)
          .map((board) => ({ value: board.id, label: board.tag }))}
        onCommit={(id) => {
          const board = boards.find((b) => b.id === id);
          const problem = board ? hands.putOn(board)?.[0]?.problem : undefined;
          refuse(problem ? { label, words: problem } : null);
        }}
      />
      {refused?.label === label ? (
        <p role="alert" className="mb-2 text-[12px] text-stop leading-4">
          {refused.words}
        </p>
      ) : null}
      <LengthField
        key={`${label} along`}
        label="From the tagged end"
        mm={blank.x}
        most={20000}
        onCommit={(x) => hands.put({ x })}
      />
      <LengthField
        key={`${label} across`}
        label="From the near edge"
        mm={blank.y}
        most={5000}
        onCommit={(y) => hands.put({ y })}
      />
      <Choice
        label="Show face"
        value={blank.placements[0]?.turned ? 'under' : 'tagged'}
        onCommit={(face) => hands.put({ turned: face === 'under' })}
        options={[
          { value: 'tagged', label: 'Tagged face' },
          { value: 'under', label: 'Under face' },
        ]}
      />
      <Select
        label="Change places with"
        value=""
        options={[
          { value: '', label: hands.partners.length > 0 ? '…' : 'none' },
          ...hands.partners.map((partner) => ({ value: partner, label: partner })),
        ]}
        onCommit={(partner) => {
          if (partner) hands.swap(partner);
        }}
      />
      {hands.byHand ? (
        <p className="mb-2 flex items-center justify-between gap-2">
          <span>Held there by you.</span>
          <Button onClick={hands.letGo}>Let it go</Button>
        </p>
      ) : null}
    </Group>
  );
}
