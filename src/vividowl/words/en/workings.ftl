### workings

working-dose = Dose
    .words = how much paste or alloy a contact takes
    .width_mm = Width
    .length_mm = Length
    .film_um = Film
    .waste = Waste, as a share
    .density_g_ml = Density
    .faces = Coated faces
    .formula = V = A film faces (1 + waste); m = ρ V; d = (6 V / π)^⅓
    .source = geometry
working-syringe = Syringe
    .words = whether mass and volume on a syringe fit its density
    .volume_ml = Volume on the label
    .mass_g = Mass on the label
    .density_g_ml = Density
    .formula = m / V against ρ, within 20 %, which covers the rounding of small labels
    .source = definition of density; the margin is from memory
working-left = What is left
    .words = what a tube holds after a dose
    .held_g = Contents
    .used_g = One dose
    .formula = difference; whole doses
    .source = conservation of mass
working-school = How it goes on
    .words = bead, line, cross or film
    .width_mm = Width
    .length_mm = Length
    .paste = Paste
    .bare_die = Bare die
    .formula = line from an aspect of 1.6; film for stiff paste or small bare dies; else film on bare dies, bead on lids
    .source = common practice, no source; where schools differ the surer one is taken
working-drop = Size of the drop
    .words = what the nozzle lays for a volume
    .school = Put on as
    .volume_ul = Volume
    .width_mm = Width
    .length_mm = Length
    .formula = bead d = (6V/π)^⅓; strokes of 0.8 of side or diagonal, d = √(4V/(π n L))
    .source = geometry; the share of the side is common practice, no source
working-imprint = Gap from an imprint
    .words = gap from a pressed putty ball or from the old pad
    .how = Read from
    .reading_mm = Thickness
    .formula = the imprint is the gap; crushed thickness less a rebound of 0 to 10 %
    .source = common practice, no source; tolerance from memory; common practice, no source; rebound from memory
working-gap = Pad for a gap
    .words = pad thickness for a gap over its tolerance
    .gap_mm = Gap
    .tolerance_mm = It may be off by
    .min_compression = Least compression, as a share
    .max_compression = Largest compression
    .formula = c = 1 − gap / t at gap ± tolerance; a single pad before a stack, then nearest to the middle of the window
    .source = common practice, no source
    .tolerance_mm_allowed = 0 mm to below the gap
    .max_compression_allowed = above the least, up to 0.9
working-heights = Several heights
    .words = one pad for parts of several heights, or putty
    .gaps_mm = Gaps, in mm
    .tolerance_mm = Each may be off by
    .formula = the pad must stay in its window from the widest to the narrowest gap; c = 1 − gap / t at gap ± tolerance; a single pad before a stack, then nearest to the middle of the window
    .source = common practice, no source
    .tolerance_mm_allowed = 0 mm to below the gap
working-force = Pads against the die
    .words = whether pads lift the cooler
    .compression = Compression, as a share
    .area_mm2 = Area of all pads
    .clamp_n = Clamping force
    .formula = F = A p30 c / 0.3, steeper by (c / c_max)² beyond the window
    .source = linear spring, textbook; stiffness and clamping force from memory
working-piece = Piece for a die
    .words = a piece that surely covers a die
    .width_mm = Width
    .length_mm = Length
    .margin_mm = Margin on each side
    .step_mm = Rounded up to
    .formula = ceil((side + 2 margin) / step) step
    .source = common practice, no source; 13.42 x 16.08 mm becomes 14.0 x 16.5 mm with 0.2 mm a side
working-cut = Cutting
    .words = pieces nested on sheets, least lost
    .sheet = Sheet, or several, in mm
    .pieces = Pieces, in mm
    .kerf_mm = Blade width
    .available = Sheets there are
    .formula = best of several orders and rules of the maximal-rectangles heuristic; lost = area taken from the sheets less the pieces, where the largest rectangle left counts as kept
    .source = J. Jylanki, "A thousand ways to pack the bin" (2010)
working-resistance = Layer
    .words = what a layer costs in kelvins
    .thickness_um = Thickness
    .conductivity = Conductivity
    .area_mm2 = Area
    .power_w = Heat
    .formula = R = t / (k A)
    .source = Fourier's law for a plane wall, any textbook of heat transfer
working-shim = Copper shim
    .words = a shim instead of a thick pad
    .width_mm = Width
    .length_mm = Length
    .power_w = Heat of the chip
    .pad_um = Pad, as pressed
    .pad_conductivity = Of the pad
    .shim_um = Shim
    .bond = On the heatsink
    .formula = R_pad = t/(kA); R_shim = t/(kA) + film/(k_paste A) + bond/(k_bond A); drop = P (R_pad − R_shim)
    .source = Fourier's law, series chain; contacts and spreading left out
working-skin = Warm cover
    .words = how warm a coupled cover gets
    .power_w = Heat into the cover
    .room_c = Room
    .material = Cover
    .thickness_mm = Thickness
    .width_mm = Width of the cover
    .length_mm = Length of the cover
    .pad_mm2 = Area of the pad
    .placement = Used on
    .contact_s = Touched for
    .formula = T = T_room + P R; U95 = 2 (T − T_room) √((u_P/P)² + u_h²); at the battery θ = θ_0 [K0(mr) I1(mR) + I0(mr) K1(mR)] / [K0(ma) I1(mR) + I0(ma) K1(mR)]
    .source = annular fin, textbook; JCGM 100:2008 for the interval; limits ISO 13732-1 and IEC 62368-1 from memory; the maker's limits come first
working-rise = Rise over room
    .holds = holds only while power and fan speed do not follow the temperature
    .words = what a reading is in another room
    .reading_c = Reading
    .room_c = Room
    .reference_room_c = Reference room
    .formula = T − T_room; T + (T_ref_room − T_room)
    .source = definition; linearity of the steady heat balance
working-capacity = Watts it can hold
    .words = sustained watts at the limit
    .reading_c = Die
    .room_c = Room
    .power_w = Heat
    .limit_c = Limit
    .reference_room_c = Reference room
    .formula = T − T_room; ΔT / P; (T_limit − T_ref_room) / R
    .source = definition; definition; JESD51-1 for the term; definition; the trade's "watts it can hold"
    .limit_c_allowed = above the reference room
working-airflow = Air flow
    .words = air that carries a power away
    .power_w = Heat
    .rise_k = Exhaust over room
    .air_c = Air
    .formula = P / (ρ c_p ΔT)
    .source = first law for a steady stream
working-levels = Levels
    .words = mean and sum of sound levels by energy
    .levels_db = Levels, in dB
    .formula = energy sum less 10 lg n; 10 lg(Σ 10^(L/10))
    .source = ISO 3744; ISO 1996-1
working-background = Background
    .words = a level without the room's own noise
    .level_db = Level
    .background_db = Background
    .formula = K1 = −10 lg(1 − 10^(−0.1 ΔL)), 0 at a margin of 15 dB or more
    .source = ISO 3744, clause on background noise corrections, value from memory
working-fan = Fan laws
    .words = what a change of level says of fan, flow and exhaust
    .level_change_db = Level after less before
    .formula = N2/N1 = 10^(ΔL/exponent); flow goes with N; exhaust rise with 1/flow at equal power
    .source = fan affinity laws; the exponent is common practice, no source
working-change = Change
    .holds = a quantity with a true zero: never degrees Celsius or Fahrenheit
    .words = change of a score, with its percentage
    .before = Before
    .after = After
    .unit = Unit
    .formula = (after − before) / before
    .source = definition
working-duration = Duration
    .words = time saved and throughput gained
    .before = Before
    .after = After
    .formula = less time (b − a)/b; more throughput b/a − 1
    .source = definition
working-fahrenheit = Fahrenheit
    .words = a reading with the 32, a difference without it
    .reading_f = A reading
    .difference_f = A difference
    .formula = (F − 32) / 1.8; F / 1.8
    .source = definition of the degree Fahrenheit
working-repeats = Repeats
    .holds = takes the scatter as known; few runs do not know it themselves
    .words = how many runs a difference needs to show
    .sd = Scatter from run to run
    .want = Difference that shall show
    .k = Coverage factor
    .power = How often it shall be shown
    .formula = (k + z) s √(2 / n) ≤ D with z the normal quantile of the power; at a power of one half U = D
    .source = handbook/runs.md: JCGM 100:2008, 5.1.2 and 6.2.1, for two means of n runs; the power after the textbook
working-plating = Plating
    .holds = layers up to 200 µm; a plated part or a plating shop is the better way
    .words = how long a layer of nickel takes
    .method = Method
    .target_um = Thickness
    .current_density_a_dm2 = Current density
    .temperature_c = Bath
    .formula = t = d / v, v of the bath, by Faraday's law or 2.5 µm/h
    .source = Faraday's law; the electroless rate is common practice, no source
working-bath = Bath log
    .holds = layers up to 200 µm; a plated part or a plating shop is the better way
    .words = what a bath put on, for the record; put it into a job
    .bath = Bath, its name and age
    .method = Method
    .minutes = Time in the bath
    .current_density_a_dm2 = Current density
    .temperature_c = Bath
    .measured_um = Thickness found
    .formula = t = d / v, v of the bath, by Faraday's law or 2.5 µm/h
    .source = Faraday's law; the electroless rate is common practice, no source
working-life = Life
    .holds = kinds of the catalogue; dust and drift may come sooner
    .words = months until an interface is due for a look
    .kind = Interface
    .school = School
    .cold_plate = Cold plate
    .formula = usual life times what the school makes of it; a life of one's own counts on nickel, too
    .source = catalogue.toml: common practice, no source; or as the shop says
working-price = Price
    .words = parts, hands and tax
    .parts = Parts
    .hands_min = Hands
    .hourly_rate = Rate of an hour
    .tax_percent = Tax
    .formula = parts + hands rate / 60, then tax on the sum
    .source = arithmetic; the tax is the shop's setting

## Groups

group-material = Material
group-heat = Heat
group-sound = Sound and air
group-numbers = Numbers
group-bench = Bench

## Results

result-volume_ul = Volume
result-mass_g = Mass
result-bead_diameter_mm = As one bead
result-consistent = The label can be right
result-implied_density_g_ml = Density it implies
result-thickness_mm = Thickness
result-stack_mm = Pads
result-compression_min = Pressed at the widest gap
result-compression_max = Pressed at the narrowest
result-fits = It fits
result-sheets = Sheets
result-waste_share = Of these becomes no piece
result-offcut_share = Of these stays as an offcut
result-resistance_K_per_W = Resistance
result-drop_K = It costs
result-flow_L_s = Flow
result-flow_cfm = The same
result-mean_db = Mean by energy
result-sum_db = Sum by energy
result-corrected_db = Without the background
result-correction_db = Correction
result-upper_bound = Only an upper bound
result-speed_ratio = Fan speed
result-flow_ratio = Air flow
result-exhaust_rise_ratio = Exhaust rise at equal power
result-change = Change
result-change_percent = In per cent
result-saved_s = Saved
result-less_time_percent = Less time
result-more_throughput_percent = More throughput
result-hours = Time in the bath
result-rate_um_h = Rate
result-skin_c = Hottest place
result-limit_c = Limit for this contact
result-allowed = Allowed
result-cover_K_per_W = Cover to the room
result-rise_k = Rise over room
result-at_reference_c = In the reference room
result-capacity_w = It can hold
result-pad_K_per_W = Pad
result-shim_K_per_W = Shim with its films
result-school = Put it on as
result-reason = Why
result-months = Next service after
result-left_g = Left afterwards
result-doses = Doses in it now
result-parts = Parts
result-work = Work
result-tax = Tax
result-total = Total
result-force_n = Pads push back
result-clamp_percent = Of the clamping force
result-lifts = It lifts the cooler
result-putty = Putty is needed
result-piece_mm = Cut it as
result-c = Reading
result-k = Difference
result-runs_each = Run it
result-power = It is then shown with a chance of
result-u95 = Their difference is then uncertain by
result-strokes = Strokes
result-stroke_mm = Each long
result-diameter_mm = And thick
result-gap_mm = Gap
result-tolerance_mm = It may be off by
result-bath = Bath
result-expected_um = It should have put on
result-of_expected_percent = Of that it did

## How an input is read

reads-number = a number
reads-count = a whole number
reads-numbers = numbers such as 60 50
reads-clock = seconds, or minutes and seconds such as 14:40
reads-sizes = sizes such as 15.5x15.5,3*12x10
reads-str = a word
workings-no-such = There is no working “{ $name }”.
    .remedy = There are: { $names }.
workings-no-key = { $name } has no “{ $key }”.
    .remedy = Its keys are: { $keys }.
workings-needs = { $name } needs { $key }.
    .remedy = Give { $key }= and { $as_what }.
workings-not-known-as = “{ $text }” is not known here as { $key }.
    .remedy = { allowed }
workings-not-read = { $key } is “{ $text }”, which is not { $as_what }.
workings-comma = Its commas can be read both ways: put blanks between the numbers, as in 45.2 50 or 45,2 50.
workings-decimal = Decimal point or comma, without the unit.
workings-no-format = “{ $form }” is no format of a cut sheet.
    .remedy = { allowed }
workings-cut-sheet = Cut sheet
working-limit = { $words } { $allowed }
working-span =
    { $above ->
        [yes] above{ " " }
       *[no] { "" }
    }{ SIG($low, digits: 7) }{ $high ->
        [none] { UNIT($unit) }{ $above ->
            [yes] { "" }
           *[no] { " " }or more
        }
       *[other] { " " }to { SIG($high, digits: 7) }{ UNIT($unit) }
    }
result =
    { $value ->
        [yes] yes
        [no] no
       *[none] not known
    }
result-number = { FIX($value, $digits) }
material-how-many-sheets-there = How many sheets there are.
material-sheet = Sheet { $i }
heat-heat-that-crosses-layer = The heat that crosses the layer.
heat-measure-cover = Measure the cover.
heat-up-to-m-goes-in = Up to { FIX($limit_mm, 0) } µm goes in.
numbers-neither-reading-nor-difference-was = Neither a reading nor a difference was given.
    .remedy = A reading converts with the 32, a difference without it: say which it is.
bench-weigh-part-or-measure-witness = Weigh the part, or measure a witness strip.
