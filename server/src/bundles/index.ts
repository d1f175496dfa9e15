export { bundleFile, mountBundleIn, mountBundleOut } from './bundle-routes';
