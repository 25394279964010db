export { createApplication } from './application/application.js';
export type { ApplicationOptions } from './application/application.js';
export type { DatabaseConnector } from './databases/databaseConnector.js';
export { sruConnector } from './databases/sruConnector.js';
export { DemoService } from './demo/demoService.js';
