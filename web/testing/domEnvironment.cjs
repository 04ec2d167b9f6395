const { TestEnvironment } = require('jest-environment-jsdom');

/** A document for tests of the interface, with what browsers have besides and the document's library has not. */
module.exports = class DomEnvironment extends TestEnvironment {
  async setup() {
    await super.setup();
    Object.assign(this.global, { TextEncoder, TextDecoder, structuredClone });
  }
};
