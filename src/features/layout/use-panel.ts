'use client';

import { useState } from 'react';
import { bestOrder, choicesOf, keptOffJoints, type LaidStrip, moveStrip, type RingSchool, turnedBy } from '@/core';
import { useChanges, useDecisions, useDerived } from '../job/job-context';

/** What can be done with the strips of the top. */
export interface PanelHands {
  /** Label of the strip the hand is on. */
  chosen: string | null;
  choose: (label: string) => void;
  /** Puts the strip with one label where that with another is. */
  move: (label: string, to: string) => void;
  turnOver: (strip: LaidStrip) => void;
  endForEnd: (strip: LaidStrip) => void;
  /** Lays all heart sides by a school, the maker's own turns forgotten. */
  laySchool: (school: RingSchool) => void;
  /** The order in which the strips match best. */
  best: () => void;
  /** As they come from the layout. */
  asSawn: () => void;
}

export function usePanel(): PanelHands {
  const { laid, demand, piece } = useDerived();
  const { laid: choices, jointMargin } = useDecisions((own) => own.layout);
  const school = useDecisions((own) => own.season.ringSchool);
  const change = useChanges();
  const [chosen, choose] = useState<string | null>(null);
  const keep = (strips: readonly LaidStrip[]) =>
    void change([{ path: 'layout.laid', value: choicesOf(strips, choices) }]);
  const turn = (strip: LaidStrip, how: Parameters<typeof turnedBy>[3]) =>
    void change([{ path: 'layout.laid', value: turnedBy(laid, strip, choices, how) }]);
  const at = (label: string) => laid.findIndex((strip) => strip.label === label);
  return {
    chosen,
    choose,
    move: (label, to) => keep(moveStrip(laid, at(label), at(to))),
    turnOver: (strip) => turn(strip, 'over'),
    endForEnd: (strip) => turn(strip, 'end-for-end'),
    laySchool: (next) => {
      const plain = choicesOf(laid, choices).map((own) => ({ ...own, heartUp: null }));
      void change([
        { path: 'season.ringSchool', value: next },
        { path: 'layout.laid', value: choices.length > 0 ? plain : [] },
      ]);
    },
    best: () => {
      const panel = demand.panels[0];
      if (panel)
        keep(bestOrder({ panel, strips: laid, school, choices, fasteners: keptOffJoints(piece), margin: jointMargin }));
    },
    asSawn: () => void change([{ path: 'layout.laid', value: [] }]),
  };
}
