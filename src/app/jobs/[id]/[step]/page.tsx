import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { StepView } from '@/features/job/step-view';
import { isStep, STEPS } from '@/features/job/steps';
import { deskData } from '@/server/desk-data';

export async function generateMetadata({
  params,
}: {
  params: Promise<{ id: string; step: string }>;
}): Promise<Metadata> {
  const { id, step } = await params;
  const data = await deskData(id);
  const title = STEPS.find((row) => row.step === step)?.title;
  return data && title ? { title: `${title}, ${data.job.document.name}` } : {};
}

export default async function Page({ params }: { params: Promise<{ step: string }> }) {
  const { step } = await params;
  if (!isStep(step)) notFound();
  return <StepView step={step} />;
}
