export { loadDemo, readDemo } from './load-demo';
export { withIds, type DemoJob } from './demo-job';
