import { expose } from 'comlink';
import { type DerivedJob, deriveJob, type JobInputs, type Parcel, packed, sharing } from '@/core';

type Problems = Exclude<ReturnType<typeof deriveJob>, DerivedJob>;

/** What the page has sent, and what it has been sent last. */
let inputs: JobInputs | null = null;
let sent: DerivedJob | null = null;

const deriver = {
  /** Derives the job with what has changed of its inputs since they were given last; all of them at first. */
  derive(changed: Partial<JobInputs>): Parcel | Problems {
    inputs = sharing(inputs, { ...(inputs as JobInputs), ...changed });
    const job = deriveJob(inputs);
    if ('problems' in job) {
      sent = null;
      return job;
    }
    const parcel = packed(job, inputs.boards, sent);
    sent = job;
    return parcel;
  },
  /** The job as it would be with other inputs; nothing is kept of it. */
  instead(changed: Partial<JobInputs>): Parcel | Problems {
    const other = sharing(inputs, { ...(inputs as JobInputs), ...changed });
    const job = deriveJob(other);
    return 'problems' in job ? job : packed(job, other.boards, null);
  },
};

export type JobDeriver = typeof deriver;
expose(deriver);
