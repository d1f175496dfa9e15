import type { Routes } from '@angular/router';

export const appRoutes: Routes = [
  { path: '', pathMatch: 'full', title: 'Floor', loadComponent: () => import('./floor/floor').then((m) => m.Floor) },
  { path: 'jobs/new', title: 'New job', loadComponent: () => import('./floor/new-job').then((m) => m.NewJob) },
  {
    path: 'jobs/:id',
    loadComponent: () => import('./sheet/sheet').then((m) => m.Sheet),
    children: [
      { path: 'receive', loadComponent: () => import('./stations/receive/receive').then((m) => m.Receive) },
      { path: 'strip', loadComponent: () => import('./stations/strip/strip').then((m) => m.Strip) },
      { path: 'measure', loadComponent: () => import('./stations/measure/measure').then((m) => m.Measure) },
      { path: 'decide', loadComponent: () => import('./stations/decide/decide').then((m) => m.Decide) },
      { path: 'draw', loadComponent: () => import('./stations/draw/draw').then((m) => m.Draw) },
      { path: 'plan', loadComponent: () => import('./stations/plan/plan').then((m) => m.Plan) },
      { path: 'cut', loadComponent: () => import('./stations/cut/cut').then((m) => m.Cut) },
      { path: 'prove', loadComponent: () => import('./stations/prove/prove').then((m) => m.Prove) },
      { path: 'return', loadComponent: () => import('./stations/return/return').then((m) => m.Return) },
      { path: '', pathMatch: 'full', loadComponent: () => import('./sheet/to-next-station').then((m) => m.ToNextStation) },
    ],
  },
  {
    path: 'house-rules',
    title: 'House rules',
    loadComponent: () => import('./house-rules/house-rules').then((m) => m.HouseRules),
  },
  { path: 'ledger', title: 'Ledger', loadComponent: () => import('./ledger/ledger').then((m) => m.Ledger) },
  { path: 'run-order', title: 'Run order', loadComponent: () => import('./run-order/run-order').then((m) => m.RunOrder) },
  { path: 'find', title: 'Find', loadComponent: () => import('./find/find').then((m) => m.Find) },
  { path: 'rack/saw', title: 'Saw list', loadComponent: () => import('./rack/saw-list').then((m) => m.SawList) },
  { path: 'rack', title: 'Rack', loadComponent: () => import('./rack/rack').then((m) => m.Rack) },
  { path: 'shop', pathMatch: 'full', title: 'Shop', loadComponent: () => import('./shop/shop-page').then((m) => m.ShopPage) },
  { path: 'shop/first', title: 'Set up the shop', loadComponent: () => import('./shop/first-walk').then((m) => m.FirstWalk) },
  { path: 'shop/done', title: 'Who did what', loadComponent: () => import('./shop/who-did-what').then((m) => m.WhoDidWhat) },
  { path: 'crib', title: 'Crib', loadComponent: () => import('./crib/crib').then((m) => m.Crib) },
  { path: 'sums', title: 'Sums', loadComponent: () => import('./sums/sums-page').then((m) => m.SumsPage) },
  { path: 'sums/:kind/:id', title: 'Sums', loadComponent: () => import('./sums/sums-page').then((m) => m.SumsPage) },
  { path: '**', title: 'Not here', loadComponent: () => import('./shell/not-here').then((m) => m.NotHere) },
];
