import type { Kitchen } from '@/core/kitchen/kitchen';

export const hallKitchen: Kitchen = {
  id: 'hall',
  name: 'Hall kitchen',
  burners: [
    { id: 'strong', name: 'Strong burner', strength: 'strong', widestCm: 34, gentle: false },
    { id: 'middling', name: 'Middling burner', strength: 'middling', widestCm: 30, gentle: true },
    { id: 'weak', name: 'Weak burner', strength: 'weak', widestCm: 26, gentle: true },
  ],
  ovens: [{ id: 'oven', name: 'Oven', shelves: 2, warmUpMinutes: 12 }],
  appliances: [
    { id: 'kettle', name: 'Kettle', kind: 'kettle', litres: 1.7 },
    { id: 'blender', name: 'Stick blender', kind: 'blender' },
  ],
  vessels: [
    { id: 'stockpot', name: 'stock pot', kind: 'pot', litres: 8, widthCm: 26, count: 1, straight: true },
    { id: 'pot-5', name: '5 l pot', kind: 'pot', litres: 5, widthCm: 24, count: 2, straight: true },
    { id: 'pot-3', name: '3 l pot', kind: 'pot', litres: 3, widthCm: 20, count: 1, straight: true },
    { id: 'casserole', name: 'iron casserole', kind: 'casserole', litres: 6.5, widthCm: 29, count: 1 },
    { id: 'skillet', name: 'wide skillet', kind: 'pan', litres: 4, widthCm: 30, count: 1 },
    { id: 'pan-24', name: 'small pan', kind: 'pan', litres: 2, widthCm: 24, count: 1 },
    { id: 'tray', name: 'roasting tray', kind: 'tray', litres: 5, widthCm: 40, count: 2 },
    { id: 'bowl', name: 'mixing bowl', kind: 'bowl', litres: 4, widthCm: 28, count: 5 },
  ],
  people: [
    { id: 'cook', name: 'you', role: 'cook', from: '08:00', until: '22:30' },
    { id: 'helper', name: 'helper', role: 'helper', from: '14:00', until: '18:00' },
  ],
  asleep: { from: '23:00', until: '07:00' },
};

export const boatKitchen: Kitchen = {
  id: 'boat',
  name: 'Galley of the boat',
  burners: [
    { id: 'front', name: 'Front burner', strength: 'middling', widestCm: 26, gentle: true },
    { id: 'back', name: 'Back burner', strength: 'weak', widestCm: 22, gentle: true },
  ],
  ovens: [{ id: 'oven', name: 'Small oven', shelves: 1, warmUpMinutes: 15 }],
  appliances: [],
  vessels: [
    { id: 'pot-3', name: 'the good pot', kind: 'pot', litres: 3.2, widthCm: 22, count: 1, straight: true },
    { id: 'pot-2', name: 'small pot', kind: 'pot', litres: 2, widthCm: 18, count: 1 },
    { id: 'pan', name: 'the pan', kind: 'pan', litres: 2.5, widthCm: 24, count: 1 },
    { id: 'tray', name: 'oven tray', kind: 'tray', litres: 3, widthCm: 34, count: 1 },
    { id: 'bowl', name: 'bowl', kind: 'bowl', litres: 3, widthCm: 24, count: 3 },
  ],
  people: [{ id: 'cook', name: 'you', role: 'cook', from: '07:30', until: '23:00' }],
  asleep: { from: '23:00', until: '07:00' },
};

export const lodgeKitchen: Kitchen = {
  id: 'lodge',
  name: 'Kitchen of the lodge',
  burners: [
    { id: 'left', name: 'Left burner', strength: 'strong', widestCm: 32, gentle: true },
    { id: 'right', name: 'Right burner', strength: 'middling', widestCm: 30, gentle: true },
  ],
  ovens: [{ id: 'oven', name: 'Oven', shelves: 2, warmUpMinutes: 14 }],
  appliances: [
    { id: 'cooker', name: 'Rice cooker', kind: 'rice-cooker', litres: 2.8 },
    { id: 'kettle', name: 'Kettle', kind: 'kettle', litres: 1.7 },
  ],
  vessels: [
    { id: 'pot-9', name: '9 l pot', kind: 'pot', litres: 9, widthCm: 28, count: 1, straight: true },
    { id: 'pot-6', name: '6 l pot', kind: 'pot', litres: 6, widthCm: 26, count: 1, straight: true },
    { id: 'pot-5', name: '5 l pot', kind: 'pot', litres: 5, widthCm: 24, count: 1, straight: true },
    { id: 'casserole', name: 'iron casserole', kind: 'casserole', litres: 7, widthCm: 30, count: 1 },
    { id: 'skillet', name: 'wide skillet', kind: 'pan', litres: 4, widthCm: 30, count: 1 },
    { id: 'pan-20', name: 'small pan', kind: 'pan', litres: 1.2, widthCm: 20, count: 1 },
    { id: 'tray', name: 'oven tray', kind: 'tray', litres: 6, widthCm: 42, count: 2 },
    { id: 'bowl', name: 'mixing bowl', kind: 'bowl', litres: 4, widthCm: 28, count: 5 },
  ],
  people: [
    { id: 'cook', name: 'you', role: 'cook', from: '08:00', until: '22:30' },
    { id: 'helper', name: 'helper', role: 'helper', from: '15:00', until: '18:30' },
  ],
  asleep: { from: '23:00', until: '07:00' },
};

export const farmKitchen: Kitchen = {
  id: 'farm',
  name: 'Farmhouse kitchen',
  burners: [
    { id: 'big-left', name: 'Big left burner', strength: 'strong', widestCm: 36, gentle: false },
    { id: 'big-right', name: 'Big right burner', strength: 'strong', widestCm: 32, gentle: true },
    { id: 'small-left', name: 'Small left burner', strength: 'middling', widestCm: 28, gentle: true },
    { id: 'small-right', name: 'Small right burner', strength: 'weak', widestCm: 26, gentle: true },
  ],
  ovens: [{ id: 'oven', name: 'Range oven', shelves: 3, warmUpMinutes: 15 }],
  appliances: [
    { id: 'kettle', name: 'Kettle', kind: 'kettle', litres: 1.7 },
    { id: 'blender', name: 'Stick blender', kind: 'blender' },
  ],
  vessels: [
    { id: 'cauldron', name: '12 l pot', kind: 'pot', litres: 12, widthCm: 32, count: 1, straight: true },
    { id: 'pot-8', name: '8 l pot', kind: 'pot', litres: 8, widthCm: 28, count: 1, straight: true },
    { id: 'pot-6', name: '6 l pot', kind: 'pot', litres: 6, widthCm: 26, count: 2, straight: true },
    { id: 'pot-2', name: 'small pot', kind: 'pot', litres: 2, widthCm: 18, count: 2 },
    { id: 'casserole', name: 'iron casserole', kind: 'casserole', litres: 7, widthCm: 30, count: 1 },
    { id: 'skillet', name: 'wide skillet', kind: 'pan', litres: 5, widthCm: 32, count: 1 },
    { id: 'pan-26', name: 'middling pan', kind: 'pan', litres: 3, widthCm: 26, count: 1 },
    { id: 'tray', name: 'roasting tray', kind: 'tray', litres: 6, widthCm: 45, count: 4 },
    { id: 'bowl', name: 'mixing bowl', kind: 'bowl', litres: 5, widthCm: 30, count: 6 },
  ],
  people: [
    { id: 'first', name: 'first cook', role: 'cook', from: '08:00', until: '23:00' },
    { id: 'second', name: 'second cook', role: 'cook', from: '08:00', until: '23:00' },
  ],
  asleep: { from: '23:30', until: '07:00' },
};
