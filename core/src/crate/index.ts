export {
  CRATE_METADATA,
  crateToJson,
  readCrate,
  type Crate,
  type CrateFile,
  type CrateResult,
} from './crate.js';
