/** Puts the server together. */
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Module, RequestMethod, type DynamicModule } from '@nestjs/common';
import { ModulesContainer, NestFactory } from '@nestjs/core';
import { ExpressAdapter, type NestExpressApplication } from '@nestjs/platform-express';
import { DocumentBuilder, SwaggerModule, type OpenAPIObject } from '@nestjs/swagger';
import express, { type NextFunction, type Request, type Response } from 'express';
import compression from 'compression';
import helmet from 'helmet';
import { LoggerModule } from 'nestjs-pino';
import { Configuration, type Settings } from '../configuration/configuration.js';
import { ConfigurationModule } from '../configuration/configurationModule.js';
import { AddedDatabasesModule } from '../addedDatabases/addedDatabasesModule.js';
import { ChecksModule } from '../checks/checksModule.js';
import { ChoicesModule } from '../choices/choicesModule.js';
import { CrosswalkModule } from '../crosswalk/crosswalkModule.js';
import { DatabasesModule } from '../databases/databasesModule.js';
import { DemoModule } from '../demo/demoModule.js';
import { DesignsModule } from '../designs/designsModule.js';
import { DriftModule } from '../drift/driftModule.js';
import { ElsewhereModule } from '../elsewhere/elsewhereModule.js';
import { FilesModule } from '../files/filesModule.js';
import { describedApi, type Answers, type ControllerClass } from '../http/describedApi.js';
import { HealthModule } from '../health/healthModule.js';
import { LanesModule } from '../lanes/lanesModule.js';
import { LedgerModule } from '../ledger/ledgerModule.js';
import { LimitsModule } from '../limits/limitsModule.js';
import { OwnLinesModule } from '../ownLines/ownLinesModule.js';
import { PackagesModule } from '../packages/packagesModule.js';
import { PeerReviewsModule } from '../peerReviews/peerReviewsModule.js';
import { PersonPipe } from '../people/people.js';
import { PeopleModule } from '../people/peopleModule.js';
import { RecordsModule } from '../records/recordsModule.js';
import { RehearsalModule } from '../rehearsal/rehearsalModule.js';
import { ReviewsModule } from '../reviews/reviewsModule.js';
import { RunsModule } from '../runs/runsModule.js';
import { SchedulesModule } from '../schedules/schedulesModule.js';
import { ShelfModule } from '../shelf/shelfModule.js';
import { openStore, type Store } from '../store/store.js';
import { OPENED_STORE } from '../store/storeModule.js';
import { StrategiesModule } from '../strategies/strategiesModule.js';
import { StrategyFilesModule } from '../strategyFiles/strategyFilesModule.js';
import { TranslationModule } from '../translation/translationModule.js';
import { UndoModule } from '../undo/undoModule.js';
import { VersionsModule } from '../versions/versionsModule.js';
import { VocabulariesModule } from '../vocabularies/vocabulariesModule.js';
import { loopbackOnly } from '../http/loopback.js';
import { ProblemFilter } from '../http/problem.js';
import { APPLICATION_VERSION } from '../http/version.js';

/** Nothing comes from anywhere but here. Parts of the interface set their sizes as styles of elements. */
const CONTENT_POLICY = {
  defaultSrc: ["'self'"],
  styleSrc: ["'self'", "'unsafe-inline'"],
  imgSrc: ["'self'", 'data:', 'blob:'],
  workerSrc: ["'self'", 'blob:'],
  objectSrc: ["'none'"],
  baseUri: ["'self'"],
  formAction: ["'self'"],
  frameAncestors: ["'none'"],
};

const MODULES = [
  AddedDatabasesModule,
  ChecksModule,
  ChoicesModule,
  CrosswalkModule,
  DatabasesModule,
  DemoModule,
  DesignsModule,
  DriftModule,
  ElsewhereModule,
  FilesModule,
  HealthModule,
  LanesModule,
  LedgerModule,
  LimitsModule,
  OwnLinesModule,
  PackagesModule,
  PeerReviewsModule,
  PeopleModule,
  RecordsModule,
  RehearsalModule,
  ReviewsModule,
  RunsModule,
  SchedulesModule,
  ShelfModule,
  StrategiesModule,
  StrategyFilesModule,
  TranslationModule,
  UndoModule,
  VersionsModule,
  VocabulariesModule,
];

@Module({})
class ApplicationModule {
  static with(settings: Settings, store: Store): DynamicModule {
    return {
      module: ApplicationModule,
      imports: [
        LoggerModule.forRoot({
          pinoHttp: { level: settings.quiet === true ? 'silent' : 'warn', autoLogging: false },
          forRoutes: [{ path: '{*path}', method: RequestMethod.ALL }],
        }),
        ConfigurationModule.with(settings, [{ provide: OPENED_STORE, useValue: store }]),
        ...MODULES,
      ],
    };
  }
}

/** Opens the store and makes the application, not yet listening. Closing it closes the store. */
export async function createApplication(settings: Settings): Promise<NestExpressApplication> {
  const { storePath, webFolder, quiet = false } = settings;
  const store = await openStore(storePath);
  // In other letters, an address is another address: what guards addresses must not be gone around.
  const base = express().set('case sensitive routing', true);
  const application = await NestFactory.create<NestExpressApplication>(
    ApplicationModule.with(settings, store),
    new ExpressAdapter(base),
    {
      logger: quiet ? false : ['error', 'warn'],
      // Whoever starts it says what is wrong.
      abortOnError: false,
    },
  );
  // Everything is served from loopback without TLS, so requests must not be moved to https.
  application.use(
    helmet({ contentSecurityPolicy: { useDefaults: false, directives: CONTENT_POLICY }, hsts: false }),
  );
  // Events are sent one by one; compressed, they would wait for each other.
  application.use(
    compression({
      filter: (request: Request, response: Response) =>
        request.headers.accept !== 'text/event-stream' && compression.filter(request, response),
    }),
  );
  application.use(loopbackOnly);
  application.useBodyParser('json', { limit: '2mb' });
  application.setGlobalPrefix('api');
  application.useGlobalFilters(new ProblemFilter());
  application.enableShutdownHooks();
  SwaggerModule.setup('api/docs', application, () => documentOf(application), {
    jsonDocumentUrl: 'api/openapi.json',
  });
  if (webFolder !== null && existsSync(webFolder)) serveInterface(application, webFolder);
  return application;
}

/** The API as OpenAPI 3.1. */
function documentOf(application: NestExpressApplication): OpenAPIObject {
  const about = new DocumentBuilder()
    .setTitle('Even Lantern')
    .setDescription('Everything that the interface does, it does through this.')
    .setLicense('MIT', 'https://spdx.org/licenses/MIT.html')
    .setVersion(APPLICATION_VERSION)
    .setOpenAPIVersion('3.1.0')
    .build();
  const controllers = [...application.get(ModulesContainer).values()].flatMap((module) =>
    [...module.controllers.values()].map(({ metatype }) => metatype as ControllerClass),
  );
  const file = application.get(Configuration).answersFile;
  const answers = JSON.parse(readFileSync(file, 'utf8')) as Answers;
  return describedApi(SwaggerModule.createDocument(application, about), controllers, PersonPipe, answers);
}

/** Files of the interface; every other address outside /api opens it, so that addresses can be kept. */
function serveInterface(application: NestExpressApplication, folder: string): void {
  application.useStaticAssets(join(folder, 'assets'), { prefix: '/assets/', immutable: true, maxAge: '1y' });
  application.useStaticAssets(folder, { index: false });
  application.use((request: Request, response: Response, next: NextFunction) => {
    const page = (request.method === 'GET' || request.method === 'HEAD') && !request.path.startsWith('/api');
    if (page && !request.path.startsWith('/assets/')) response.sendFile(join(folder, 'index.html'));
    else next();
  });
}
