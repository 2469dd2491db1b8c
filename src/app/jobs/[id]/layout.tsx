import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import { JobProvider } from '@/features/job/job-context';
import { JobDesk } from '@/features/job/job-desk';
import { deskData } from '@/server/desk-data';

export default async function Layout({ children, params }: { children: ReactNode; params: Promise<{ id: string }> }) {
  const data = await deskData((await params).id);
  if (!data) notFound();
  const { air, ...seed } = data;
  return (
    <JobProvider seed={seed}>
      <JobDesk air={air}>{children}</JobDesk>
    </JobProvider>
  );
}
