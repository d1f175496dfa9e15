/** Tables that stay here when everything is taken out: secrets, what only this server works with, and what follows from the rest. */
export const STAYS: Readonly<Record<string, string>> = {
  accounts: 'digests of passwords and PINs',
  devices: 'secrets of devices',
  device_people: 'who may come in by PIN on a device',
  sign_in_misses: 'wrong tries, with addresses of networks',
  quote_links: 'digests of secret addresses',
  idempotency_keys: 'answers that wait for a request to be sent again',
  schema_migrations: 'what the database was brought up to',
  photo_pixels: 'pictures: they are in the jobs’ files',
  shop_changes: 'a count for this server',
  standings: 'worked out from the rest',
  standing_cards: 'worked out from the rest',
  handed_back: 'worked out from the rest',
  ledger_cards: 'worked out from the rest',
  ledger_sizes: 'worked out from the rest',
};
