'use client';

import { Button } from '@/ui/button';

export default function Failed({ reset }: { reset: () => void }) {
  return (
    <main className="p-10">
      <h1 className="text-[19px]">This page could not be shown</h1>
      <p className="mt-2 mb-4">
        The database may be away for a moment. Changes made before are kept, in the browser if nowhere else.
      </p>
      <Button look="chief" onClick={reset}>
        Try again
      </Button>
    </main>
  );
}
