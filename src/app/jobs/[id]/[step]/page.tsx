import { notFound } from 'next/navigation';
import { StepView } from '@/features/job/step-view';
import { isStep } from '@/features/job/steps';

export default async function Page({ params }: { params: Promise<{ step: string }> }) {
  const { step } = await params;
  if (!isStep(step)) notFound();
  return <StepView step={step} />;
}
