import { get as plain } from 'node:http';
import { get as secure } from 'node:https';

/**
 * Whether the shop on this machine answers and is ready. Its certificate is not looked at: it is our own server, by an address that no
 * certificate names.
 */
export const healthy = (address, ms = 5000) =>
  new Promise((resolve) => {
    const ask = address.startsWith('https:') ? secure : plain;
    ask(`${address}/api/health`, { rejectUnauthorized: false, timeout: ms, agent: false }, (res) => {
      res.resume();
      resolve(res.statusCode === 200);
    })
      .on('timeout', function () {
        this.destroy();
      })
      .on('error', () => resolve(false));
  });
