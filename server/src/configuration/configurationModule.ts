import { Global, Module, type DynamicModule } from '@nestjs/common';
import { Configuration, type Settings } from './configuration.js';

/** The one module that is there for all: everything else says what it imports. */
@Global()
@Module({})
export class ConfigurationModule {
  static with(settings: Settings): DynamicModule {
    return {
      module: ConfigurationModule,
      providers: [{ provide: Configuration, useValue: new Configuration(settings) }],
      exports: [Configuration],
    };
  }
}
