export { customersById, loadShop } from './shop-queries';
export { mountShop } from './shop-routes';
export { setUpShop, type ShopCard } from './first-shop';
