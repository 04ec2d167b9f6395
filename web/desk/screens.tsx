import type { ComponentType } from 'react';
import { createBrowserRouter, Navigate, type RouteObject } from 'react-router';
import type { Place } from '../client/place.ts';
import { comesLater } from './parts/ComesLater.tsx';
import { Loading } from './parts/Screen.tsx';
import { Desk } from './shell/Desk.tsx';
import { ScreenProblem } from './shell/ScreenProblem.tsx';
import { At } from './shell/Workspace.tsx';

/** A screen whose code comes when it is opened; meanwhile the desk around it is there already. */
const lazily = <Name extends string>(load: () => Promise<Record<Name, ComponentType>>, name: Name) => {
  const Component = comesLater(async () => (await load())[name], <Loading what="Opening the screen" />);
  return { Component, ErrorBoundary: ScreenProblem, handle: { load: Component.load } };
};

function DeskProblem() {
  return (
    <At place="editor">
      <ScreenProblem />
    </At>
  );
}

/** The desk's screens, within the address of a storefront's draft. */
const routes: RouteObject[] = [
  {
    path: '/',
    Component: Desk,
    ErrorBoundary: DeskProblem,
    children: [
      { index: true, element: <Navigate to="/attributes" replace /> },
      {
        path: 'catalog',
        ...lazily(() => import('./screens/catalog/CatalogFrame.tsx'), 'CatalogFrame'),
        children: [
          { index: true, element: <Navigate to="/catalog/products" replace /> },
          { path: 'products', ...lazily(() => import('./screens/catalog/Products.tsx'), 'Products') },
          { path: 'products/:id', ...lazily(() => import('./screens/catalog/product/ProductPage.tsx'), 'ProductPage') },
          { path: 'bring-in', ...lazily(() => import('./screens/catalog/BringIn.tsx'), 'BringIn') },
          { path: 'reading', ...lazily(() => import('./screens/catalog/Reading.tsx'), 'Reading') },
          { path: 'feed', ...lazily(() => import('./screens/catalog/Feed.tsx'), 'Feed') },
          { path: 'log', element: <Navigate to="/demand" replace /> },
          { path: 'content', element: <Navigate to="/content" replace /> },
          { path: 'duplicates', ...lazily(() => import('./screens/catalog/Duplicates.tsx'), 'Duplicates') },
          { path: 'twins', element: <Navigate to="/catalog/duplicates" replace /> },
        ],
      },
      { path: 'content', ...lazily(() => import('./screens/content/Content.tsx'), 'Content') },
      {
        path: 'content/collections/:id',
        ...lazily(() => import('./screens/content/CollectionScreen.tsx'), 'CollectionScreen'),
      },
      {
        path: 'content/collections/:id/board',
        ...lazily(() => import('./screens/board/CollectionBoard.tsx'), 'CollectionBoardScreen'),
      },
      {
        path: 'content/articles/:id',
        ...lazily(() => import('./screens/content/ArticleScreen.tsx'), 'ArticleScreen'),
      },
      { path: 'dead-ends', ...lazily(() => import('./screens/deadEnds/DeadEnds.tsx'), 'DeadEnds') },
      { path: 'demand', ...lazily(() => import('./screens/demand/Demand.tsx'), 'Demand') },
      { path: 'proposals', ...lazily(() => import('./screens/proposals/Proposals.tsx'), 'Proposals') },
      { path: 'attributes', ...lazily(() => import('./screens/Attributes.tsx'), 'Attributes') },
      { path: 'relevance', ...lazily(() => import('./screens/relevance/Relevance.tsx'), 'Relevance') },
      {
        path: 'vocabulary',
        ...lazily(() => import('./screens/vocabulary/VocabularyFrame.tsx'), 'VocabularyFrame'),
        children: [
          { index: true, ...lazily(() => import('./screens/vocabulary/Synonyms.tsx'), 'Synonyms') },
          { path: 'stop-words', ...lazily(() => import('./screens/vocabulary/StopWords.tsx'), 'StopWords') },
          { path: 'phrases', ...lazily(() => import('./screens/vocabulary/PhraseList.tsx'), 'PhraseList') },
          { path: 'values', ...lazily(() => import('./screens/vocabulary/Recognised.tsx'), 'RecognisedWords') },
          { path: 'spelling', ...lazily(() => import('./screens/vocabulary/SpellingPage.tsx'), 'SpellingPage') },
        ],
      },
      { path: 'filters', ...lazily(() => import('./screens/filters/Filters.tsx'), 'Filters') },
      {
        path: 'filters/groups/:key',
        ...lazily(() => import('./screens/filters/ValueGroupsPage.tsx'), 'ValueGroupsPage'),
      },
      { path: 'filters/:key', ...lazily(() => import('./screens/filters/FilterPage.tsx'), 'FilterPage') },
      { path: 'plans', ...lazily(() => import('./screens/plans/ShelfPlans.tsx'), 'ShelfPlans') },
      { path: 'plans/:id', ...lazily(() => import('./screens/plans/ShelfPlan.tsx'), 'ShelfPlanScreen') },
      { path: 'plans/:id/board', ...lazily(() => import('./screens/board/PlanBoard.tsx'), 'PlanBoardScreen') },
      { path: 'house-rules', ...lazily(() => import('./screens/rules/HouseRules.tsx'), 'HouseRules') },
      { path: 'house-rules/new', ...lazily(() => import('./screens/rules/HouseRuleScreen.tsx'), 'NewHouseRule') },
      { path: 'house-rules/:id', ...lazily(() => import('./screens/rules/HouseRuleScreen.tsx'), 'HouseRuleScreen') },
      { path: 'review', ...lazily(() => import('./screens/rules/Review.tsx'), 'Review') },
      { path: 'redirects', ...lazily(() => import('./screens/redirects/Redirects.tsx'), 'Redirects') },
      {
        path: 'companions',
        ...lazily(() => import('./screens/companions/CompanionsScreen.tsx'), 'CompanionsScreen'),
      },
      {
        path: 'companions/:product',
        ...lazily(() => import('./screens/companions/ProductCompanions.tsx'), 'ProductCompanions'),
      },
      { path: 'hiding', ...lazily(() => import('./screens/hiding/Hiding.tsx'), 'Hiding') },
      {
        path: 'search-box/:moment?',
        ...lazily(() => import('./screens/box/SearchBoxScreen.tsx'), 'SearchBoxScreen'),
      },
      {
        path: 'empty-shelf/:page?',
        ...lazily(() => import('./screens/shelf/EmptyShelfScreen.tsx'), 'EmptyShelfScreen'),
      },
      {
        path: 'results-page/:page?',
        ...lazily(() => import('./screens/results/ResultsPageScreen.tsx'), 'ResultsPageScreen'),
      },
      { path: 'words', ...lazily(() => import('./screens/words/Words.tsx'), 'Words') },
      { path: 'storefronts', ...lazily(() => import('./screens/storefronts/Storefronts.tsx'), 'Storefronts') },
      { path: 'storefronts/embedding', ...lazily(() => import('./screens/storefronts/Embedding.tsx'), 'Embedding') },
      { path: 'drafts', ...lazily(() => import('./screens/drafts/Drafts.tsx'), 'Drafts') },
      { path: 'drafts/merge', ...lazily(() => import('./screens/drafts/Merge.tsx'), 'Merge') },
      { path: 'history', ...lazily(() => import('./screens/history/History.tsx'), 'History') },
      { path: 'releases', ...lazily(() => import('./screens/Releases.tsx'), 'Releases') },
      { path: '*', element: <Navigate to="/attributes" replace /> },
    ],
  },
];

let open: { readonly basename: string; readonly router: ReturnType<typeof createBrowserRouter> } | null = null;

/** The screens of one draft; the present one's code is fetched while the desk asks for its state. */
export function screensOf({ storefront, draft }: Place) {
  const basename = `/${storefront}/${draft}`;
  if (open?.basename === basename) return open.router;
  // The one before would go on following the address.
  open?.router.dispose();
  const router = createBrowserRouter(routes, { basename });
  open = { basename, router };
  for (const { route } of router.state.matches) void route.handle?.load?.().catch(() => {});
  return router;
}
