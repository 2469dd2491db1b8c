import type { Metadata } from 'next';
import { PlaceFrame } from '@/features/job/place-frame';
import { airLine } from '@/server/desk-data';
import { glossary } from '@/server/terms';
import { currentWorkshop, placesOf } from '@/server/workshop-store';

export const metadata: Metadata = { title: 'Terms' };

export default async function Page() {
  const { id } = await currentWorkshop();
  const [{ html }, places] = await Promise.all([glossary(), placesOf(id)]);
  return (
    <PlaceFrame title="Terms" air={airLine(places)}>
      {/* biome-ignore lint/security/noDangerouslySetInnerHtml: the text is docs/glossary.md of this project */}
      <article className="methods" dangerouslySetInnerHTML={{ __html: html }} />
    </PlaceFrame>
  );
}
