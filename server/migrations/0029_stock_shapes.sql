-- Rings, plates, castings and weldments are stock too; of the last two one may be solid.
alter table bars drop constraint bars_shape_check;
alter table bars add constraint bars_shape_check
  check (shape in ('round', 'tube', 'hexagon', 'square', 'flat', 'ring', 'plate', 'casting', 'weldment'));
