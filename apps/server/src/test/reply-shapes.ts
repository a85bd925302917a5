/**
 * What a reply may hold, read from the contract's types: a row that is spread into a view passes the type check, and
 * would send what the contract does not name. Slow to begin with (a type check of the contract), so one test asks.
 */
import { resolve } from 'node:path';
import ts from 'typescript';

const contract = resolve(__dirname, '../../../../packages/contract/src/routes.ts');

export class ReplyShapes {
  private readonly checker: ts.TypeChecker;
  private readonly replies = new Map<string, ts.Type>();
  private readonly bodies = new Map<string, ts.Type>();

  constructor() {
    const program = ts.createProgram([contract], {
      strict: true,
      noEmit: true,
      target: ts.ScriptTarget.ES2023,
      module: ts.ModuleKind.ESNext,
      moduleResolution: ts.ModuleResolutionKind.Bundler,
    });
    this.checker = program.getTypeChecker();
    const source = program.getSourceFile(contract);
    const exported = source && this.checker.getSymbolAtLocation(source);
    const table = exported?.exports?.get('routes' as ts.__String);
    if (!source || !table) throw new Error('the contract has no table of routes');
    for (const route of this.checker.getTypeOfSymbol(table).getProperties()) {
      const type = this.checker.getTypeOfSymbolAtLocation(route, source) as ts.TypeReference;
      const [body, reply] = this.checker.getTypeArguments(type);
      if (reply) this.replies.set(route.name, reply);
      if (body) this.bodies.set(route.name, body);
    }
  }

  /** Paths of what the reply holds and the contract does not name; empty where nothing is too much. */
  surplus(route: string, reply: unknown): readonly string[] {
    const type = this.replies.get(route);
    if (!type) throw new Error(`the contract has no route ${route}`);
    return this.surplusOf(type, reply, 'reply');
  }

  /** Whether its reply is anything but null. */
  hasReply(route: string): boolean {
    const type = this.replies.get(route);
    return type !== undefined && (type.flags & (ts.TypeFlags.Null | ts.TypeFlags.Unknown)) === 0;
  }

  /** Names of the fields that the route's body may have. */
  bodyFields(route: string): readonly string[] {
    const type = this.bodies.get(route);
    return type ? this.checker.getPropertiesOfType(type).map(({ name }) => name) : [];
  }

  private surplusOf(type: ts.Type, value: unknown, path: string): readonly string[] {
    if (value === null || typeof value !== 'object') return [];
    const members = (type.isUnion() ? type.types : [type]).filter(
      (member) => (member.flags & ts.TypeFlags.Object) !== 0,
    );
    // A word of our own, or `unknown`: nothing to compare with.
    if (members.length === 0) return [];
    const each = members.map((member) => this.surplusOfMember(member, value, path));
    return each.sort((one, other) => one.length - other.length)[0] ?? [];
  }

  private surplusOfMember(type: ts.Type, value: object, path: string): readonly string[] {
    if (Array.isArray(value)) {
      const item = this.checker.getIndexTypeOfType(type, ts.IndexKind.Number);
      return item ? value.flatMap((entry, index) => this.surplusOf(item, entry, `${path}[${index}]`)) : [path];
    }
    const indexed = this.checker.getIndexTypeOfType(type, ts.IndexKind.String);
    return Object.entries(value).flatMap(([name, entry]) => {
      const property = this.checker.getPropertyOfType(type, name);
      const of = property ? this.checker.getTypeOfSymbol(property) : indexed;
      return of ? this.surplusOf(of, entry, `${path}.${name}`) : [`${path}.${name}`];
    });
  }
}
