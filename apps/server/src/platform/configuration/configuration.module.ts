import { Global, Module, type DynamicModule } from '@nestjs/common';
import { LOGGER, type AppLogger } from '../logging/logger.token.js';
import { CONFIGURATION, type Configuration } from './configuration.js';

/** What every noun may ask for: the configuration and the log. */
@Global()
@Module({})
export class ConfigurationModule {
  static with(configuration: Configuration, logger: AppLogger): DynamicModule {
    const providers = [
      { provide: CONFIGURATION, useValue: configuration },
      { provide: LOGGER, useValue: logger },
    ];
    return { module: ConfigurationModule, providers, exports: providers };
  }
}
