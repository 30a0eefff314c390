export default pathRoutes.restore()
