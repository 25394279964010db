export { createApplication } from './application/application.js';
export type { Settings } from './configuration/configuration.js';
export type { DatabaseConnector } from './connectors/databaseConnector.js';
export { shippedServer, sruConnector } from './connectors/sru/connector.js';
export { DemoService } from './demo/demoService.js';
