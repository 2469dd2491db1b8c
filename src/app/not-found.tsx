import Link from 'next/link';

export default function NotFound() {
  return (
    <main className="p-10">
      <h1 className="text-[19px]">There is nothing here</h1>
      <p className="mt-2">
        It may be in the bin, or was never here.{' '}
        <Link className="text-layout underline" href="/jobs">
          Go to the jobs
        </Link>
        .
      </p>
    </main>
  );
}
