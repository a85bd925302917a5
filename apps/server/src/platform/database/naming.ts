/** snake_case tables and columns: MariaDB folds case differently from one file system to the next. */
import { DefaultNamingStrategy } from 'typeorm';

export class SnakeNaming extends DefaultNamingStrategy {
  override tableName(className: string, customName: string | undefined): string {
    return customName ?? snake(className);
  }

  override columnName(propertyName: string, customName: string | undefined): string {
    return customName ?? snake(propertyName);
  }

  override joinColumnName(relationName: string, referencedColumnName: string): string {
    return `${snake(relationName)}_${snake(referencedColumnName)}`;
  }
}

function snake(name: string): string {
  return name.replace(/([a-z0-9])([A-Z])/g, '$1_$2').toLowerCase();
}
