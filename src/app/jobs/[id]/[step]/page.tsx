import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { StepView } from '@/features/job/step-view';
import { isStep, STEPS } from '@/features/job/steps';
import { nameOfJob } from '@/server/job-store';
import { currentWorkshop } from '@/server/workshop-store';

export async function generateMetadata({
  params,
}: {
  params: Promise<{ id: string; step: string }>;
}): Promise<Metadata> {
  const { id, step } = await params;
  const name = await nameOfJob((await currentWorkshop()).id, id);
  const title = STEPS.find((row) => row.step === step)?.title;
  return name && title ? { title: `${title}, ${name}` } : {};
}

export default async function Page({ params }: { params: Promise<{ step: string }> }) {
  const { step } = await params;
  if (!isStep(step)) notFound();
  return <StepView step={step} />;
}
