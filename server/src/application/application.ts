/** Puts the server together. */
import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { Module, RequestMethod, type DynamicModule } from '@nestjs/common';
import { APP_INTERCEPTOR, NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { DocumentBuilder, SwaggerModule } from '@nestjs/swagger';
import type { NextFunction, Request, Response } from 'express';
import compression from 'compression';
import helmet from 'helmet';
import { LoggerModule } from 'nestjs-pino';
import { CrosswalkController } from '../crosswalk/crosswalkController.js';
import { CrosswalkService } from '../crosswalk/crosswalkService.js';
import { ChoicesService } from '../databases/choicesService.js';
import { AddedDatabasesController } from '../databases/addedDatabasesController.js';
import { ADDED_SERVERS, AddedDatabasesService } from '../databases/addedDatabasesService.js';
import { HandAnswersService } from '../databases/handAnswersService.js';
import { DatabasesController } from '../databases/databasesController.js';
import type { DatabaseConnector } from '../databases/databaseConnector.js';
import { AskingService } from '../databases/askingService.js';
import { DatabaseEventsService } from '../databases/databaseEventsService.js';
import { EffectsService } from '../databases/effectsService.js';
import { DatabasesService } from '../databases/databasesService.js';
import type { WatchTimes } from '../databases/databaseWatch.js';
import { BudgetsService } from '../databases/budgetsService.js';
import { CandidatesService } from '../databases/candidatesService.js';
import { ReadingService } from '../databases/readingService.js';
import { OverlapService } from '../databases/overlapService.js';
import { RehearsalService } from '../databases/rehearsalService.js';
import { DemoService } from '../demo/demoService.js';
import { HealthController } from '../health/healthController.js';
import { PeopleController, PeopleService, PersonPipe } from '../people/people.js';
import { FilesController } from '../reading/filesController.js';
import { IncomingFiles } from '../reading/incomingFiles.js';
import { WaitingFiles } from '../reading/waitingFiles.js';
import { RecordsController } from '../records/recordsController.js';
import { FoundByService } from '../records/foundByService.js';
import { RecordsService } from '../records/recordsService.js';
import { DesignContent, CONTENT_FOLDER } from '../designs/designContent.js';
import { DesignsController } from '../designs/designsController.js';
import { DesignsService } from '../designs/designsService.js';
import { FilterFiguresService } from '../designs/filterFiguresService.js';
import { KnownRecordsService } from '../designs/knownRecords.js';
import { PROGRAMS, RecordDesignsService } from '../designs/recordDesignsService.js';
import { SavedFiltersService } from '../designs/savedFiltersService.js';
import { KeptRecords } from '../limits/keptRecords.js';
import { LimitsController } from '../limits/limitsController.js';
import { LimitsService } from '../limits/limitsService.js';
import { ProfileService } from '../limits/profileService.js';
import { LanesController } from '../reviews/lanesController.js';
import { ReviewsController } from '../reviews/reviewsController.js';
import { ReviewEndService } from '../reviews/reviewEndService.js';
import { ReviewListService } from '../reviews/reviewListService.js';
import { ReviewsService } from '../reviews/reviewsService.js';
import { LanesService } from '../reviews/lanesService.js';
import { ShelfController } from '../reviews/shelfController.js';
import { ShelfService } from '../reviews/shelfService.js';
import { TermsService } from '../reviews/termsService.js';
import { DriftService } from '../ledger/driftService.js';
import { ElsewhereService } from '../ledger/elsewhereService.js';
import { LedgerController } from '../ledger/ledgerController.js';
import { LedgerService } from '../ledger/ledgerService.js';
import { RunClosing } from '../runs/runClosing.js';
import { RunPlanning } from '../runs/runPlanning.js';
import { RunsController } from '../runs/runsController.js';
import { RunsService } from '../runs/runsService.js';
import { PackagesController } from '../packages/packagesController.js';
import { PackagesService } from '../packages/packagesService.js';
import { Scheduler } from '../schedules/scheduler.js';
import { SchedulesController } from '../schedules/schedulesController.js';
import { SchedulesService } from '../schedules/schedulesService.js';
import { AcceptedFindingsService } from '../checks/acceptedFindingsService.js';
import { ChecksController } from '../checks/checksController.js';
import { MendEffectsService } from '../checks/mendEffectsService.js';
import { StrategyFilesController } from '../strategy/strategyFilesController.js';
import { StrategyFilesService } from '../strategy/strategyFilesService.js';
import { ComparisonService } from '../versions/comparisonService.js';
import { PeerReviewsController } from '../peerReviews/peerReviewsController.js';
import { PeerReviewsService } from '../peerReviews/peerReviewsService.js';
import { EditKeeper } from '../undo/editKeeper.js';
import { EditsService } from '../undo/editsService.js';
import { UndoController } from '../undo/undoController.js';
import { VersionKeeper } from '../versions/versionKeeper.js';
import { VersionsController } from '../versions/versionsController.js';
import { VersionsService } from '../versions/versionsService.js';
import { OwnLinesController } from '../ownLines/ownLinesController.js';
import { OwnLinesService } from '../ownLines/ownLinesService.js';
import { LineTextsService } from '../lines/lineTextsService.js';
import { TranslationController } from '../translation/translationController.js';
import { TranslationService } from '../translation/translationService.js';
import { VocabulariesController } from '../vocabularies/vocabulariesController.js';
import { VocabulariesService } from '../vocabularies/vocabulariesService.js';
import { openStore, Store } from '../store/store.js';
import type { XmlReading } from '../reading/xmlReading.js';
import { loopbackOnly } from './loopback.js';
import { ProblemFilter } from './problem.js';
import { APPLICATION_VERSION } from './version.js';

export interface ApplicationOptions {
  /** path of the SQLite file */
  storePath: string;
  connectors: ReadonlyMap<string, DatabaseConnector>;
  /** folder of the server's compiled programs, where those of worker threads lie */
  programs: string;
  /** folder of the built interface, or null to serve the API alone */
  webFolder: string | null;
  /** whether servers on this machine and its networks may be added by their address */
  privateAddresses?: boolean;
  /** how databases are watched, where it is not as usual */
  watchTimes?: WatchTimes;
  /** what reads the answers of servers that people add; in this thread where it is not given */
  reading?: XmlReading;
  quiet?: boolean;
}

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

@Module({})
class ApplicationModule {
  static with(
    store: Store,
    {
      storePath,
      connectors,
      programs,
      privateAddresses = false,
      quiet = false,
      watchTimes,
      reading,
    }: ApplicationOptions,
  ): DynamicModule {
    return {
      module: ApplicationModule,
      imports: [
        LoggerModule.forRoot({
          pinoHttp: { level: quiet ? 'silent' : 'warn', autoLogging: false },
          forRoutes: [{ path: '{*path}', method: RequestMethod.ALL }],
        }),
      ],
      controllers: [
        PeopleController,
        LanesController,
        ShelfController,
        LimitsController,
        OwnLinesController,
        ChecksController,
        StrategyFilesController,
        VersionsController,
        PeerReviewsController,
        UndoController,
        DesignsController,
        ReviewsController,
        VocabulariesController,
        CrosswalkController,
        DatabasesController,
        AddedDatabasesController,
        TranslationController,
        RunsController,
        LedgerController,
        PackagesController,
        SchedulesController,
        RecordsController,
        FilesController,
        HealthController,
      ],
      providers: [
        { provide: Store, useValue: store },
        {
          provide: IncomingFiles,
          useFactory: () => new IncomingFiles(programs, join(dirname(storePath), 'incoming')),
        },
        { provide: ADDED_SERVERS, useValue: { publicOnly: !privateAddresses, reading } },
        { provide: DatabasesService, useFactory: () => new DatabasesService(connectors, watchTimes) },
        AskingService,
        DatabaseEventsService,
        BudgetsService,
        PeopleService,
        PersonPipe,
        ReviewsService,
        ReviewListService,
        ReviewEndService,
        TermsService,
        LanesService,
        ShelfService,
        LimitsService,
        OwnLinesService,
        AcceptedFindingsService,
        MendEffectsService,
        StrategyFilesService,
        VersionsService,
        ComparisonService,
        PeerReviewsService,
        VersionKeeper,
        { provide: APP_INTERCEPTOR, useExisting: VersionKeeper },
        EditsService,
        EditKeeper,
        { provide: APP_INTERCEPTOR, useExisting: EditKeeper },
        { provide: CONTENT_FOLDER, useValue: join(programs, '..', '..', 'core', 'content') },
        DesignContent,
        { provide: PROGRAMS, useValue: programs },
        RecordDesignsService,
        DesignsService,
        SavedFiltersService,
        KnownRecordsService,
        FilterFiguresService,
        KeptRecords,
        ProfileService,
        VocabulariesService,
        CrosswalkService,
        LineTextsService,
        ReadingService,
        ChoicesService,
        AddedDatabasesService,
        HandAnswersService,
        CandidatesService,
        RehearsalService,
        EffectsService,
        OverlapService,
        TranslationService,
        LedgerService,
        ElsewhereService,
        WaitingFiles,
        DriftService,
        FoundByService,
        {
          provide: PackagesService,
          useFactory: (reviews: ReviewsService, reviewEnd: ReviewEndService, files: IncomingFiles) =>
            new PackagesService(programs, store, reviews, reviewEnd, files),
          inject: [ReviewsService, ReviewEndService, IncomingFiles],
        },
        SchedulesService,
        Scheduler,
        RunClosing,
        RunPlanning,
        RunsService,
        RecordsService,
        DemoService,
      ],
    };
  }
}

/** Opens the store and makes the application, not yet listening. Closing it closes the store. */
export async function createApplication(options: ApplicationOptions): Promise<NestExpressApplication> {
  const { storePath, webFolder, quiet = false } = options;
  const store = await openStore(storePath);
  const application = await NestFactory.create<NestExpressApplication>(
    ApplicationModule.with(store, options),
    { logger: quiet ? false : ['error', 'warn'] },
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
  const description = new DocumentBuilder().setTitle('Even Lantern').setVersion(APPLICATION_VERSION).build();
  SwaggerModule.setup('api/docs', application, () => SwaggerModule.createDocument(application, description));
  if (webFolder !== null && existsSync(webFolder)) serveInterface(application, webFolder);
  return application;
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
