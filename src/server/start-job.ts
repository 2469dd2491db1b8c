import type { InferOutput } from 'valibot';
import type { JobReply, Proposal } from '@/contract/replies';
import type { NewJobRequest } from '@/contract/requests';
import {
  copyOfJob,
  deriveJob,
  findSpecies,
  type JobDocument,
  newJob,
  ownedChecks,
  proposeJob,
  readJobFile,
  smallDrawing,
  speciesWith,
} from '@/core';
import { quickLayouts, woodForJob } from '@/core/job/wood-for-job';
import { boardsOfJobs, usableFor } from './board-store';
import { addJob, findJob, jobNames } from './job-store';
import { inTransaction } from './pool';
import { Refusal } from './refusal';
import { addPlace, addWoods, placesOf, type Workshop } from './workshop-store';

/** The first document of a new job in this workshop's own air, its wood, and what it was found on. */
async function beginning(workshop: Workshop, wish: InferOutput<typeof NewJobRequest>) {
  const places = await placesOf(workshop.id);
  const shopPlace = places.find((place) => place.kind === 'shop');
  const home = places.find((place) => place.id === wish.homePlaceId);
  const problems = [
    ...(shopPlace
      ? []
      : [{ problem: 'The air of the shop is not known.', where: 'shop', wayOut: 'Add it on the Shop page.' }]),
    ...(home
      ? []
      : [
          {
            problem: 'There is no such home.',
            where: 'homePlaceId',
            wayOut: 'Choose one of the places on the Shop page.',
          },
        ]),
    ...(wish.species === null || findSpecies(wish.species, workshop.settings.species)
      ? []
      : [{ problem: `There is no species “${wish.species}”.`, where: 'species', wayOut: 'Choose one of the list.' }]),
  ];
  if (problems.length > 0 || !shopPlace) throw new Refusal(422, problems);
  const { settings } = workshop;
  const ground = { shop: settings, places, boards: usableFor(await boardsOfJobs(workshop.id), '') };
  const given = { ...wish, shopPlaceId: shopPlace.id };
  const solid = speciesWith(settings.species).filter((own) => !own.sheet);
  const species =
    wish.species ??
    woodForJob(
      (id) => newJob({ ...given, species: id }),
      solid.map(({ id }) => id),
      ground,
    ) ??
    (solid[0]?.id as string);
  return { document: proposeJob({ ...given, species }, ground), species, ground };
}

/** The first document of a new job. */
export const startJob = async (workshop: Workshop, wish: InferOutput<typeof NewJobRequest>): Promise<JobDocument> =>
  (await beginning(workshop, wish)).document;

/** What a job would begin with, drawn; nothing is kept of it. */
export async function proposalFor(workshop: Workshop, wish: InferOutput<typeof NewJobRequest>): Promise<Proposal> {
  const { document, species, ground } = await beginning(workshop, wish);
  const layouts = quickLayouts(document, ground) ?? [];
  const job = deriveJob({ ...ground, document, layouts });
  if (!('pieces' in job)) throw new Refusal(422, job.problems);
  const pieces = job.pieces.map(({ piece }) => piece);
  const { length = 0, width = 0, height = 0 } = pieces[0]?.overall ?? {};
  const drawing = smallDrawing(pieces);
  return {
    drawing: { ...drawing, shapes: [...drawing.shapes] },
    ...{ length, width, height },
    stops: ownedChecks(job).flatMap(({ check }) => (check.level === 'stop' ? [[...check.sentence]] : [])),
    species,
  };
}

/** A job like another, under a name that no other has here. */
export async function copyJob(workshop: Workshop, id: string): Promise<JobReply> {
  const { document } = await findJob(workshop.id, id);
  const taken = new Set((await jobNames(workshop.id)).map(({ name }) => name));
  return addJob(workshop.id, copyOfJob(document, taken));
}

/** A job file brought in: its places are found by name here, or added. */
export async function importJob(workshop: Workshop, text: string): Promise<JobReply> {
  const file = readJobFile(text);
  if ('problems' in file) throw new Refusal(422, file.problems);
  const { job, places, species } = file.value;
  return inTransaction(async (db) => {
    // A wood of the sender's own comes along where this shop has none of that name.
    const strange = species.filter((s) => !findSpecies(s.id, workshop.settings.species));
    if (strange.length > 0) await addWoods(workshop, strange, db);
    const here = await placesOf(workshop.id, db);
    const idFor = async (id: string, kind: 'shop' | 'home') => {
      const place = places.find((p) => p.id === id);
      const known = here.find((p) => p.id === id) ?? here.find((p) => p.kind === kind && p.name === place?.name);
      if (known) return known.id;
      if (place) return (await addPlace(workshop.id, place, db)).id;
      const any = here.find((p) => p.kind === kind);
      if (any) return any.id;
      throw new Refusal(422, [
        {
          problem: `The file names a ${kind} that is neither in it nor here.`,
          where: `job.season.${kind}PlaceId`,
          wayOut: 'Export the job again with its places.',
        },
      ]);
    };
    const season = {
      ...job.season,
      shopPlaceId: await idFor(job.season.shopPlaceId, 'shop'),
      homePlaceId: await idFor(job.season.homePlaceId, 'home'),
    };
    return addJob(workshop.id, { ...job, season }, db);
  });
}
