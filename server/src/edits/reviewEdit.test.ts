import { RequestMethod } from '@nestjs/common';
import { METHOD_METADATA, PATH_METADATA } from '@nestjs/common/constants.js';
import { DiscoveryService, MetadataScanner } from '@nestjs/core';
import { ModulesContainer } from '@nestjs/core';
import { faultyConnector } from '../testing/faultyConnector.js';
import { testApplication, type TestApplication } from '../testing/testApplication.js';
import { REVIEW_EDIT, type ReviewEdit } from './reviewEdit.js';

let server: TestApplication;
beforeAll(async () => {
  server = await testApplication({ faulty: faultyConnector(25) });
});
afterAll(() => server.application.close());

interface Route {
  name: string;
  edit: ReviewEdit | null | undefined;
}

/** Every route that takes changes, with what its handler says of them. */
function changingRoutes(): Route[] {
  const discovery = new DiscoveryService(server.application.get(ModulesContainer));
  const scanner = new MetadataScanner();
  return discovery.getControllers().flatMap(({ instance, metatype }) => {
    const prototype = Object.getPrototypeOf(instance) as object;
    const base = Reflect.getMetadata(PATH_METADATA, metatype ?? prototype) as string;
    return scanner.getAllMethodNames(prototype).flatMap((name): Route[] => {
      const handler = (prototype as Record<string, object>)[name] ?? {};
      const path = Reflect.getMetadata(PATH_METADATA, handler) as string | undefined;
      const method = Reflect.getMetadata(METHOD_METADATA, handler) as RequestMethod | undefined;
      if (path === undefined || method === undefined || method === RequestMethod.GET) return [];
      const edit = Reflect.getMetadata(REVIEW_EDIT, handler) as Route['edit'];
      return [{ name: `${RequestMethod[method]} ${base}/${path}`.replace(/\/+/g, '/'), edit }];
    });
  });
}

test('each route that takes changes says whether it edits a review', () => {
  const routes = changingRoutes();
  expect(routes.length).toBeGreaterThan(60);
  expect(routes.filter(({ edit }) => edit === undefined).map(({ name }) => name)).toEqual([]);
});

test('a route that edits what a review holds says of what its id is', () => {
  const unclear = changingRoutes().filter(
    ({ name, edit }) => edit != null && edit.of === undefined && !name.includes('reviews/:id'),
  );
  expect(unclear.map(({ name }) => name)).toEqual([]);
});
