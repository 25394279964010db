import { Global, Module, type DynamicModule, type ValueProvider } from '@nestjs/common';
import { Configuration, type Settings } from './configuration.js';

/** The one module that is there for all: everything else says what it imports. */
@Global()
@Module({})
export class ConfigurationModule {
  /** @param opened what was opened before the application was made */
  static with(settings: Settings, opened: ValueProvider[]): DynamicModule {
    return {
      module: ConfigurationModule,
      providers: [{ provide: Configuration, useValue: new Configuration(settings) }, ...opened],
      exports: [Configuration, ...opened.map(({ provide }) => provide)],
    };
  }
}
