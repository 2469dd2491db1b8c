import type { Metadata } from 'next';
import { CalculatorPage } from '@/features/calculator/calculator-page';
import { PlaceFrame } from '@/features/job/place-frame';
import { airLine, today } from '@/server/desk-data';
import { currentWorkshop, placesOf } from '@/server/workshop-store';

export const metadata: Metadata = { title: 'Quick season' };

export default async function Page() {
  const places = await placesOf((await currentWorkshop()).id);
  return (
    <PlaceFrame title="Quick season" air={airLine(places)} whole>
      <CalculatorPage places={places} today={today()} />
    </PlaceFrame>
  );
}
