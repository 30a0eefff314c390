export default makingDayRoutes.restore()
