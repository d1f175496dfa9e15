export { mountLedger } from './ledger-routes';
