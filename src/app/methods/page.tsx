import type { Metadata } from 'next';
import { PlaceFrame } from '@/features/job/place-frame';
import { airLine } from '@/server/desk-data';
import { methodsHtml } from '@/server/methods';
import { currentWorkshop, placesOf } from '@/server/workshop-store';

export const metadata: Metadata = { title: 'Methods' };

export default async function Page() {
  const { id, settings } = await currentWorkshop();
  const places = await placesOf(id);
  return (
    <PlaceFrame title="Methods" air={airLine(places)}>
      {/* biome-ignore lint/security/noDangerouslySetInnerHtml: the text is docs/methods.md of this project */}
      <article className="methods" dangerouslySetInnerHTML={{ __html: await methodsHtml(settings.species) }} />
    </PlaceFrame>
  );
}
