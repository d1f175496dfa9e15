export { notesOf } from './note-queries';
export { mountNotes } from './note-routes';
