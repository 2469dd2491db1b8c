'use client';

import { useState } from 'react';
import {
  bestOrder,
  choicesAmong,
  choicesOf,
  keptOffJoints,
  type LaidChoice,
  type LaidStrip,
  moveStrip,
  type RingSchool,
  turnedBy,
  type WorkedPanel,
} from '@/core';
import { useChanges, useDecisions, useDerived } from '../job/job-context';

/** The panel of the piece that is looked at, and what can be done with its strips. */
export interface PanelHands {
  panel: WorkedPanel;
  /** After the names of its figures, where it is not the first. */
  place: string;
  panels: readonly WorkedPanel[];
  lookAt: (id: string) => void;
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

/** @returns null where the piece has no panel whose strips are found */
export function usePanel(): PanelHands | null {
  const { panels, piece, job } = useDerived();
  const { laid: choices, jointMargin } = useDecisions((own) => own.layout);
  const school = useDecisions((own) => own.season.ringSchool);
  const change = useChanges();
  const [shown, lookAt] = useState<string | null>(null);
  const [chosen, choose] = useState<string | null>(null);
  const panel = panels.find(({ demand }) => demand.id === shown) ?? panels[0];
  if (!panel) return null;
  const { laid, demand } = panel;
  const others = job.pieces.flatMap((own) => own.panels.filter((one) => one !== panel).flatMap((one) => one.laid));
  /** Of this panel; what was chosen of all the others stays. */
  const decide = (own: readonly LaidChoice[], school?: RingSchool) =>
    void change([
      ...(school ? [{ path: 'season.ringSchool', value: school }] : []),
      { path: 'layout.laid', value: [...own, ...choicesAmong(others, choices)] },
    ]);
  const keep = (strips: readonly LaidStrip[]) => decide(choicesOf(strips, choices));
  const turn = (strip: LaidStrip, how: Parameters<typeof turnedBy>[3]) => decide(turnedBy(laid, strip, choices, how));
  const at = (label: string) => laid.findIndex((strip) => strip.label === label);
  return {
    panel,
    place: panels.indexOf(panel) === 0 ? '' : `-${panels.indexOf(panel) + 1}`,
    panels,
    lookAt,
    chosen,
    choose,
    move: (label, to) => keep(moveStrip(laid, at(label), at(to))),
    turnOver: (strip) => turn(strip, 'over'),
    endForEnd: (strip) => turn(strip, 'end-for-end'),
    laySchool: (next) => {
      const spoken = choicesAmong(laid, choices).length > 0;
      decide(spoken ? choicesOf(laid, choices).map((own) => ({ ...own, heartUp: null })) : [], next);
    },
    best: () =>
      keep(
        bestOrder({
          panel: demand,
          strips: laid,
          school,
          choices,
          fasteners: keptOffJoints(piece, demand.id),
          margin: jointMargin,
        }),
      ),
    asSawn: () => decide([]),
  };
}
