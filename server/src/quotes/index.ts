export { mountCustomerPage } from './customer-routes';
export { quotesOf } from './quote-queries';
export { mountQuotes } from './quote-routes';
