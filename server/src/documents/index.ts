export { mountDocuments } from './document-routes';
