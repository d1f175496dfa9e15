export { LiveHub } from './live-hub';
