export { gateFindings, type GateFacing, type GateInput, type GateState } from './gate.ts';
export { seatFindings, strengthFinding, type SeatInput } from './seat.ts';
