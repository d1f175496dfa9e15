import type { JobInput } from '@iron-patch/contract';
import type { JobSheet } from '@iron-patch/core';

/** A job as it is sent to be changed. */
export const jobInputOf = ({ job, customer }: JobSheet): JobInput => ({
  customerName: customer.name,
  customerContact: customer.contact,
  title: job.title,
  machine: job.machine,
  complaint: job.complaint,
  want: job.want,
  changes: [...job.changes],
  restBy: job.restBy,
  askBefore: job.askBefore,
  pieces: job.pieces,
  promisedOn: job.promisedOn,
  unit: job.unit,
  shopTempC: job.shopTempC,
  hazards: [...job.hazards],
});
