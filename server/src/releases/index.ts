export { releasesOf } from './release-queries';
export { mountReleases } from './release-routes';
