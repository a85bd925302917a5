/** Reads JSON bodies within the budget of their route; what is more is refused before it is parsed. */
import express, { type NextFunction, type Request, type RequestHandler, type Response } from 'express';
import { ProblemError } from '../problem/problem.js';
import { budgetOf, type BodyBudget } from './body-budgets.js';
import { shapeExcess, type ShapeExcess } from './json-shape.js';

const words: Readonly<Record<ShapeExcess, string>> = {
  'not-an-object': 'The body must be a JSON object.',
  'too-deep': 'The body nests too deep.',
  'too-many-members': 'The body has more members than this route takes.',
  'too-many-items': 'The body has a longer list than this route takes.',
};

const parsers = new Map<BodyBudget, RequestHandler>();

export function readJsonBodies(request: Request, response: Response, next: NextFunction): void {
  const budget = budgetOf(request.method, request.path);
  let parser = parsers.get(budget);
  if (!parser) {
    parser = express.json({
      limit: budget.bytes,
      inflate: false,
      verify: (_request, _response, bytes) => {
        const excess = shapeExcess(bytes, budget);
        if (excess !== null) throw Object.assign(new ProblemError('invalid', words[excess]), { status: 400 });
      },
    });
    parsers.set(budget, parser);
  }
  // The parser hands its result to the callback; Express 5 ignores what a handler returns here.
  void parser(request, response, next);
}
