import 'reflect-metadata';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ValidationPipe } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { DocumentBuilder, SwaggerModule } from '@nestjs/swagger';
import type { OpenAPIObject } from '@nestjs/swagger';
import compression from 'compression';
import cookieParser from 'cookie-parser';
import type { NextFunction, Request, Response } from 'express';
import helmet from 'helmet';
import { AppModule } from './app.module.ts';
import { guardWrites } from './common/guardWrites.ts';
import { readable, readBody } from './common/readable.ts';

/** The published description of the API: every route with what it takes and, by name, what it answers with. */
export const describeApi = (app: NestExpressApplication): OpenAPIObject =>
  SwaggerModule.createDocument(
    app,
    new DocumentBuilder().setTitle('Rubbet').setVersion('1').addCookieAuth('rubbet').build(),
  );

/** The published description as it is kept beside the code, shapes of answers included. */
const description = (): string => readFileSync(new URL('../openapi.json', import.meta.url), 'utf8');

/** Puts the application together; `webDir` is the built web, served beside the API on one port. */
export const createApp = async (
  options: { readonly webDir?: string; readonly quiet?: boolean } = {},
): Promise<NestExpressApplication> => {
  const app = await NestFactory.create<NestExpressApplication>(AppModule, {
    logger: options.quiet ? ['error'] : ['error', 'warn'],
    abortOnError: false,
    // Bodies are read here, so that they can be looked through before anything else does.
    bodyParser: false,
  });
  app.setGlobalPrefix('api');
  app.disable('x-powered-by');
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          // The component library writes its styles at run time.
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'", 'data:'],
          workerSrc: ["'self'", 'blob:'],
          // A paper that was made is shown in its page.
          frameSrc: ['blob:'],
          objectSrc: ["'none'"],
          frameAncestors: ["'none'"],
          baseUri: ["'self'"],
          formAction: ["'self'"],
        },
      },
      strictTransportSecurity: false,
    }),
  );
  // A proxy on this machine says how the browser came in: over TLS, and from where.
  app.set('trust proxy', 'loopback');
  app.use(guardWrites);
  // Answers are packed quickly, what is fetched once and kept is packed well.
  app.use('/api', compression({ level: 1 }));
  app.use(compression());
  app.use(cookieParser());
  app.use(readBody);
  app.use('/api', readable);
  app.useGlobalPipes(
    new ValidationPipe({ whitelist: true, forbidNonWhitelisted: true, transform: true, stopAtFirstError: true }),
  );
  app.use('/api/openapi.json', (_: Request, response: Response) => void response.type('json').send(description()));
  const { webDir } = options;
  if (webDir !== undefined && existsSync(join(webDir, 'index.html'))) {
    app.useStaticAssets(join(webDir, 'assets'), { prefix: '/assets/', immutable: true, maxAge: '1y' });
    app.useStaticAssets(webDir, { index: false });
    // Any other address is a page of the web's own.
    app.use((request: Request, response: Response, next: NextFunction) => {
      if (request.method !== 'GET' || request.path.startsWith('/api') || request.path.startsWith('/assets'))
        return next();
      response.setHeader('Cache-Control', 'no-cache');
      response.sendFile(join(webDir, 'index.html'));
    });
  }
  return app;
};
