import { Controller, Get } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { DataSource } from 'typeorm';
import { APPLICATION_VERSION } from '../application/version.js';
import { DatabasesService } from '../databases/databasesService.js';

@ApiTags('health')
@Controller('health')
export class HealthController {
  constructor(
    private readonly store: DataSource,
    private readonly databases: DatabasesService,
  ) {}

  @Get()
  @ApiOperation({ summary: 'The state of the store and of each database' })
  async get() {
    await this.store.query('SELECT 1');
    const { databases, failed } = await this.databases.list();
    return {
      version: APPLICATION_VERSION,
      store: 'ready',
      databases: [
        ...databases.map(({ id, release }) => ({ id, state: 'ready', release })),
        ...failed.map(({ id, reason }) => ({ id, state: 'not answering', reason })),
      ],
    };
  }
}
