export default goalRoutes.restore()
