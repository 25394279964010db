/** What the ledger says about the program that wrote an entry. */
export const APPLICATION_VERSION = '0.1.0';
