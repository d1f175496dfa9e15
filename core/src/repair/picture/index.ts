export { pictureModel } from './picture';
export type { Pictured, PictureModel, PictureSpan, PictureStation } from './model';
