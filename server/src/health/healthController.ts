import { Controller, Get } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { APPLICATION_VERSION } from '../http/version.js';
import { DatabasesService } from '../databases/databasesService.js';
import { Store } from '../store/store.js';

@ApiTags('health')
@Controller('health')
export class HealthController {
  constructor(
    private readonly store: Store,
    private readonly databases: DatabasesService,
  ) {}

  @Get()
  @ApiOperation({ summary: 'The state of the store and of each database' })
  async get() {
    await this.store.read.query('SELECT 1');
    return {
      version: APPLICATION_VERSION,
      store: 'ready',
      databases: this.databases.states(),
    };
  }
}
