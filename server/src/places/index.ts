export { places, placesOf } from './place-queries';
