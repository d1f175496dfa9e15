export { jobById, jobsById } from './job-queries';
export { mountJobs } from './job-routes';
