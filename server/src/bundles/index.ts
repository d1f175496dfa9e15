export { mountBundleIn, mountBundleOut } from './bundle-routes';
