export { createApplication } from './application/application.js';
export type { ApplicationOptions } from './application/application.js';
export type { DatabaseConnector } from './databases/databaseConnector.js';
export { shippedServer, sruConnector } from './databases/sru/connector.js';
export { DemoService } from './demo/demoService.js';
