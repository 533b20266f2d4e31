module yellowparcel

go 1.26.0

require (
	codeberg.org/go-pdf/fpdf v0.12.0
	github.com/danielgtaylor/huma/v2 v2.37.2
	github.com/go-chi/chi/v5 v5.5.0
	github.com/go-rod/rod v0.116.2
	github.com/gofrs/flock v0.13.2
	github.com/jmoiron/sqlx v1.4.0
	github.com/peterstace/simplefeatures v0.50.0
	github.com/pressly/goose/v3 v3.29.0
	golang.org/x/image v0.48.0
	golang.org/x/sync v0.25.0
	modernc.org/sqlite v1.62.0
)

require (
	github.com/dustin/go-humanize v1.1.0 // indirect
	github.com/google/uuid v1.6.0 // indirect
	github.com/mattn/go-isatty v0.0.24 // indirect
	github.com/mfridman/interpolate v0.0.2 // indirect
	github.com/ncruces/go-strftime v1.1.0 // indirect
	github.com/remyoudompheng/bigfft v0.0.0-20230129092748-24d4a6f8daec // indirect
	github.com/sethvargo/go-retry v0.5.0 // indirect
	github.com/ysmood/fetchup v0.2.3 // indirect
	github.com/ysmood/goob v0.4.0 // indirect
	github.com/ysmood/got v0.40.0 // indirect
	github.com/ysmood/gson v0.7.3 // indirect
	github.com/ysmood/leakless v0.9.0 // indirect
	go.uber.org/multierr v1.11.0 // indirect
	golang.org/x/sys v0.50.0 // indirect
	golang.org/x/text v0.44.0 // indirect
	modernc.org/libc v1.80.1 // indirect
	modernc.org/mathutil v1.7.1 // indirect
	modernc.org/memory v1.12.1 // indirect
)
