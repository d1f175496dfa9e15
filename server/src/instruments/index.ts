export { mountInstruments } from './instrument-routes';
