export { componentById, components, componentsOf } from './component-queries';
