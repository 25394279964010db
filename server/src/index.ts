export { createApplication } from './application/application.js';
export type { Settings } from './configuration/configuration.js';
export type { DatabaseConnector } from './connectors/databaseConnector.js';
export { shippedConnector } from './connectors/sru/shippedConnector.js';
export { DemoService } from './demo/demoService.js';
