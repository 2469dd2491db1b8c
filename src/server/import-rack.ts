import type { RackImport } from '@/contract/replies';
import { readRackCsv } from '@/core';
import { addBoards, takenTags } from './board-store';
import { Refusal } from './refusal';
import type { Workshop } from './workshop-store';

/**
 * Takes in the sound rows of a rack file; a file with faults is only looked at, unless they were seen before.
 *
 * @param fields what each column is, where the maker has said so
 */
export async function importRack(
  workshop: Workshop,
  text: string,
  tryOnly: boolean,
  fields?: readonly (string | null)[],
): Promise<RackImport> {
  const read = readRackCsv(text, workshop.settings.units, workshop.settings.species, fields);
  if (read.problems.length > 0) throw new Refusal(422, read.problems);
  const taken = await takenTags(
    workshop.id,
    read.rows.flatMap(({ board }) => board ?? []),
  );
  const boards = read.rows.flatMap(({ board }) => (board && !taken.has(board.tag) ? [board] : []));
  const problems = read.rows.flatMap(({ line, board, problems: faults }) =>
    board && taken.has(board.tag)
      ? [
          {
            problem: `Board ${board.tag} is on the rack already.`,
            where: `line ${line}, tag`,
            wayOut: 'It is left out; give it another tag to add it.',
          },
        ]
      : faults,
  );
  const added = tryOnly || boards.length === 0 ? 0 : await addBoards(workshop.id, boards);
  return {
    sound: boards.length,
    added,
    problems: problems.slice(0, 200),
    tags: boards.slice(0, 200).map((board) => board.tag),
  };
}
