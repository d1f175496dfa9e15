export { placeById, places, placesOf } from './place-queries';
