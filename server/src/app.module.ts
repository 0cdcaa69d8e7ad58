import { Module } from '@nestjs/common';
import { APP_FILTER, APP_GUARD, APP_INTERCEPTOR } from '@nestjs/core';
import { AuthModule } from './auth/auth.module.ts';
import { BenchModule } from './bench/bench.module.ts';
import { BoardModule } from './board/board.module.ts';
import { ProblemFilter } from './common/problem.filter.ts';
import { RolesGuard } from './common/roles.ts';
import { TurnsInterceptor } from './common/turns.ts';
import { CustomersModule } from './customers/customers.module.ts';
import { DatabaseModule } from './database/database.module.ts';
import { DocumentsModule } from './documents/documents.module.ts';
import { HealthModule } from './health/health.module.ts';
import { ModelsModule } from './models/models.module.ts';
import { OrdersModule } from './orders/orders.module.ts';
import { RackModule } from './rack/rack.module.ts';
import { RoadModule } from './road/road.module.ts';
import { SettingsModule } from './settings/settings.module.ts';
import { TodayModule } from './today/today.module.ts';
import { VisitModule } from './visit/visit.module.ts';

@Module({
  imports: [
    DatabaseModule,
    AuthModule,
    SettingsModule,
    CustomersModule,
    OrdersModule,
    BenchModule,
    BoardModule,
    RoadModule,
    ModelsModule,
    RackModule,
    TodayModule,
    DocumentsModule,
    VisitModule,
    HealthModule,
  ],
  providers: [
    { provide: APP_GUARD, useClass: RolesGuard },
    { provide: APP_FILTER, useClass: ProblemFilter },
    { provide: APP_INTERCEPTOR, useClass: TurnsInterceptor },
  ],
})
export class AppModule {}
