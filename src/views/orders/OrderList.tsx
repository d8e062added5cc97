import type { OrderRecord } from '@/contract/records';
import { OrderCard } from './OrderCard';

/** Orders one under the other; with the patient's name where they are of several. */
export function OrderList({ orders, patients = false }: { orders: OrderRecord[]; patients?: boolean }) {
  if (orders.length === 0)
    return (
      <p className="text-faint">
        No order. A pair that is chosen and not on the shelf is ordered from the hand-over.
      </p>
    );
  return (
    <div>
      {orders.map((order) => (
        <OrderCard key={order.id} order={order} patient={patients} />
      ))}
    </div>
  );
}
