import { type DrawnStart, drawnStarts } from '@/core';
import { currentWorkshop } from './workshop-store';

let drawn: DrawnStart[] | null = null;

/** What a job can begin with, drawn once for all pages: looks do not hang on a shop's settings. */
export async function startsDrawn(): Promise<readonly DrawnStart[]> {
  drawn ??= drawnStarts((await currentWorkshop()).settings);
  return drawn;
}
