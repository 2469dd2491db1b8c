import { mm, type Phrase, say } from '../measure/quantity';
import type { InsertedCorner, Meeting } from './corner-joint';

/** How two things let into one leg keep out of each other's way. mm */
export interface Rooms {
  /** How long the rule wants them. */
  wanted: number;
  /** How far in they may go before they meet square, and with their ends mitred; null where they cannot be mitred. */
  beforeMeeting: number;
  untilMitre: number | null;
}

export function chooseMeeting({ wanted, beforeMeeting, untilMitre }: Rooms): Meeting {
  if (wanted <= beforeMeeting) return 'clear';
  // One shortened by less than a tenth of what the rule asks is simpler to cut than a mitred one.
  if (beforeMeeting >= 0.9 * wanted) return 'shortened';
  return untilMitre !== null && untilMitre >= 0.75 * wanted ? 'mitred' : 'staggered';
}

/** Why they meet so, in a sentence. */
export function reasonFor(
  meeting: Meeting,
  at: Rooms & { length: number; chosen: boolean; words: { many: string }; kind: InsertedCorner['kind'] },
): Phrase {
  const lead = at.chosen ? 'Chosen by you. ' : '';
  const { many } = at.words;
  switch (meeting) {
    case 'clear':
      return say`${lead}The ${many} end ${mm(at.length)} into the leg, before they would meet at ${mm(at.beforeMeeting)}.`;
    case 'shortened':
      return say`${lead}All ${many} stop at ${mm(at.length)}, short of the place where they would meet, ${mm(at.beforeMeeting)} in; the rule asked for ${mm(at.wanted)}.`;
    case 'mitred':
      return say`${lead}Square ${many} would meet at ${mm(at.beforeMeeting)}; with their ends mitred each reaches up to ${mm(at.untilMitre ?? at.length)}.`;
    case 'staggered':
      return at.kind === 'dowels'
        ? say`${lead}The dowels of one apron stand between those of the other, so that all go in ${mm(at.length)}.`
        : say`${lead}One tenon passes above the other, each half as high, so that both go in ${mm(at.length)}.`;
  }
}
