export { mountSearch } from './search-routes';
