export { namesNow } from './names-now';
