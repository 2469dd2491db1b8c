/** Run once when the server starts. */
export async function register() {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { keepJobList } = await import('./server/keep-job-list');
  keepJobList();
}
