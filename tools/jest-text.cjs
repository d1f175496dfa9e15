/** Lets Jest import a text file, as the server's bundle does. */
module.exports = {
  process: (source) => ({ code: `module.exports = { __esModule: true, default: ${JSON.stringify(source)} };` }),
};
