export { mountPhotos } from './photo-routes';
export { insertPhoto, photosOf, pixelsOf } from './photo-queries';
export { readPicture } from './picture';
